<?php

declare(strict_types=1);

namespace App\Progress;

use DateTimeImmutable;
use DateTimeZone;
use Uplandia\Core\Progress\Ability;
use Uplandia\Core\Progress\Sessions;
use Uplandia\Core\Progress\Surplus;

/**
 * When a candidate does well: answers against what was expected of them, by hour of the day and minute of the session.
 *
 * @phpstan-type SpellKept array{from: int, n: int, off: float, low: float, high: float, clear: bool}
 */
final readonly class BestHours
{
    /** Minutes of a session that are told together. */
    public const MINUTES = 10;

    /** Two hours and later are one. */
    private const LAST = 120;

    /**
     * @param  list<SpellKept>  $hours  from: hour of the day, 0 to 23, where the candidate lives
     * @param  list<SpellKept>  $minutes  from: minute of the session, in steps
     */
    private function __construct(public array $hours, public array $minutes)
    {
    }

    public static function of(ReadAnswers $looked, Ability $ability, string $timeZone): self
    {
        $zone = new DateTimeZone($timeZone);
        $sessions = Sessions::of($looked->moments);
        $hours = $minutes = [];
        foreach ($looked->responses as $i => $response) {
            $at = $looked->at[$i];
            if ($at === null) {
                continue;
            }
            $surplus = Surplus::one($response, $ability);
            $local = (new DateTimeImmutable('@'.intdiv($at, 1000)))->setTimezone($zone);
            $hours[] = [(int) $local->format('G'), $surplus];
            $minute = $sessions->minute($at);
            $minutes[] = [min(self::LAST, $minute - $minute % self::MINUTES), $surplus];
        }

        return new self(
            hours: array_map(self::kept(...), Surplus::by($hours)),
            minutes: array_map(self::kept(...), Surplus::by($minutes)),
        );
    }

    /** @return SpellKept */
    private static function kept(Surplus $of): array
    {
        return [
            'from' => $of->slot,
            'n' => $of->n,
            'off' => $of->mean,
            'low' => $of->within->low,
            'high' => $of->within->high,
            'clear' => $of->isClear(),
        ];
    }
}
