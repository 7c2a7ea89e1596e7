<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

use Uplandia\Core\Statistics\Lowess;
use Uplandia\Core\Statistics\Wilson;

/**
 * How sittings came out over time, with a line through them in which each weighs as many as its answers.
 * Source: computation.md, section 11.
 *
 * Of a sitting are told: when it was, in any unit; the share of its marks, which may be negative; how many questions
 * of equal marks would tell as much; answers that were no rapid guesses, at least one.
 *
 * @phpstan-type Sat array{at: float, share: float, effective: float, answers: int}
 */
final class Trend
{
    /** Fewer sittings make no line. */
    public const LINE_FROM = 5;

    /**
     * @param  list<Sat>  $sittings  in order of time
     * @return list<TrendPoint>
     */
    public static function of(array $sittings): array
    {
        $line = count($sittings) < self::LINE_FROM ? null : Lowess::smooth(
            array_map(static fn (array $one): float => $one['at'] - $sittings[0]['at'], $sittings),
            array_column($sittings, 'share'),
            array_map(floatval(...), array_column($sittings, 'answers')),
        );

        return array_map(
            static fn (array $one, int $i): TrendPoint => new TrendPoint(
                share: $one['share'],
                band: Wilson::interval(max(0.0, $one['share']) * $one['effective'], $one['effective']),
                line: $line === null ? null : min(1.0, $line[$i]),
            ),
            $sittings,
            array_keys($sittings),
        );
    }
}
