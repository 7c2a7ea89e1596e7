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
     * @param  int  $lastContact  when the server last heard from the page
     * @param  int|null  $awakeSince  since when the page has been awake without a gap, by its own word; null: not
     *   asked
     * @return int|null the moment from which the sitting counts as paused; null: it does not
     */
    public static function pausedFrom(int $lastContact, ?int $awakeSince, int $now): ?int
    {
        $silent = $now - $lastContact > self::AFTER_MS;
        $slept = $awakeSince === null || $awakeSince > $lastContact + self::AFTER_MS;

        return $silent && $slept ? $lastContact : null;
    }
}
