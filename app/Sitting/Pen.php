<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Refusal;
use Uplandia\Core\Sitting\Awake;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\State;

/** One tab may write. Opening a sitting gives a tab the pen; a page that leaves lets go of it. */
final readonly class Pen
{
    /** A tab that has been silent for so long has let go. */
    private const HELD_MS = 30_000;

    public function __construct(private Desk $desk)
    {
    }

    /**
     * Starts a sitting or goes on with it, and gives the tab the pen.
     *
     * @throws Refusal when it is handed in, or another tab holds the pen and `take` is not given
     */
    public function open(Sitting $sitting, string $tab, bool $take, ?Awake $awake = null): State
    {
        return $this->desk->write($sitting, function (Sitting $sitting, int $now) use ($tab, $take, $awake): State {
            $this->desk->refuseHandedIn($sitting);
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
            if (! $sitting->hasBegun()) {
                $this->begin($sitting, $now);
            }
            $this->desk->pauseIfContactWasLost($sitting, $awake ?? Awake::unknown(), $now);
            $sitting->fill(['pen' => $tab, 'contact_ms' => $now]);

            return $this->desk->keep($sitting, $now);
        });
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

    /** From here on the rules stand, whatever becomes of the exam's, the test's or the candidate's. */
    private function begin(Sitting $sitting, int $now): void
    {
        $events = new SittingEvents($sitting);
        $events->addOwn($events->own(EventKind::Started, $now));
        $sitting->fill(['status' => Stage::Open, 'started_ms' => $now, 'terms' => $sitting->terms()->toArray()]);
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
