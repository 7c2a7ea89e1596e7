<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

use Uplandia\Core\Statistics\Lowess;
use Uplandia\Core\Statistics\Wilson;

/** How sittings came out over time, with a line through them. Source: computation.md, section 11. */
final class Trend
{
    /** Fewer sittings make no line. */
    public const LINE_FROM = 5;

    /**
     * @param  list<array{at: float, credit: float, n: int}>  $sittings  in order of time: when, in any unit; summed
     *   credit; answers, at least one
     * @return list<TrendPoint>
     */
    public static function of(array $sittings): array
    {
        $shares = array_map(static fn (array $one): float => $one['credit'] / $one['n'], $sittings);
        $line = count($sittings) < self::LINE_FROM ? null : Lowess::smooth(
            array_map(static fn (array $one): float => $one['at'] - $sittings[0]['at'], $sittings),
            $shares,
        );

        return array_map(
            static fn (array $one, float $share, int $i): TrendPoint => new TrendPoint(
                share: $share,
                band: Wilson::interval($one['credit'], $one['n']),
                line: $line === null ? null : max(0.0, min(1.0, $line[$i])),
            ),
            $sittings,
            $shares,
            array_keys($sittings),
        );
    }
}
