<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

/**
 * When a closed lid or a dead connection stops the clock of a sitting that may be paused. A page that stayed awake
 * while it could not reach the server was being worked on, so its time counts; one that slept was not.
 */
final class LostContact
{
    public const AFTER_MS = 60_000;

    /**
     * Where a page cannot show that it ran, the sitting counts as paused. Whoever has only just come back goes on when
     * they say so.
     *
     * @param  int  $lastContact  when the server last heard from it
     * @return list<array{int, int|null}> from when, and until when; null: still
     */
    public static function gaps(int $lastContact, Awake $awake, int $now): array
    {
        $spells = $awake->since === null ? $awake->spells : [...$awake->spells, [$awake->since, $now]];
        sort($spells);
        $known = $lastContact;
        $gaps = [];
        foreach ($spells as [$from, $until]) {
            $until = min($until, $now);
            if ($until <= $known || $from > $until) {
                continue;
            }
            if ($from - $known > self::AFTER_MS) {
                $gaps[] = [$known, $from];
            }
            $known = $until;
        }
        if ($now - $known > self::AFTER_MS) {
            $gaps[] = [$known, null];
        }

        $until = $gaps === [] ? null : $gaps[count($gaps) - 1][1];

        return $until === null || $now - $until > self::AFTER_MS ? $gaps : [...$gaps, [$now, null]];
    }
}
