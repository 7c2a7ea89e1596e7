<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Refusal;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;

/** One tab may write. Opening a sitting gives a tab the pen; a page that leaves lets go of it. */
final readonly class TabLock
{
    /** A tab that has been silent for so long has let go. */
    private const HELD_MS = 30_000;

    /**
     * Gives a tab the pen, under the lock of the caller.
     *
     * @throws Refusal when another tab holds it, or a device that took the sitting along, and `take` is not given
     */
    public function give(Sitting $sitting, string $tab, bool $take, int $now): void
    {
        $silent = $now - (int) $sitting->contact_ms >= self::HELD_MS;
        if ($sitting->pen !== null && $sitting->pen !== $tab && ! $silent && ! $take) {
            throw $this->elsewhere();
        }
        if ($sitting->packed_by !== null && $sitting->packed_by !== $tab) {
            if (! $take) {
                throw $this->takenAlong();
            }
            $sitting->fill(['packed_by' => null, 'packed_ms' => null]);
        }
        $sitting->pen = $tab;
    }

    /** @throws Refusal when the tab may not write */
    public function check(Sitting $sitting, string $tab): void
    {
        if ($sitting->pen !== $tab) {
            throw $this->elsewhere();
        }
    }

    /**
     * The page has gone, so the next one need not ask. (Unless it has come back before this letter.)
     *
     * @param  list<Event>  $events
     */
    public function letGo(Sitting $sitting, array $events): void
    {
        $last = $events === [] ? null : $events[count($events) - 1];
        if ($last?->kind === EventKind::Left && $last->doneAt() >= (int) $sitting->contact_ms) {
            $sitting->pen = null;
        }
    }

    private function takenAlong(): Refusal
    {
        return Refusal::conflict(
            'open_elsewhere',
            'This sitting was taken along on another device. If you go on here, that one is told as soon as it is back; '
            .'what was answered there can then still be sent.',
        );
    }

    private function elsewhere(): Refusal
    {
        return Refusal::conflict(
            'open_elsewhere',
            'This sitting is open in another tab or on another device. You can go on here; the other one will stop.',
        );
    }
}
