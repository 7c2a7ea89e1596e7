<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use App\Assembly\TestItems;
use App\Http\Refusal;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Str;
use Uplandia\Core\Marking\MalformedResponse;
use Uplandia\Core\Sitting\Awake;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Fold;
use Uplandia\Core\Sitting\State;

/** How sittings end: handed in, or run out though nobody is there; and what may still be said afterwards. */
final readonly class Closing
{
    /** So long a sitting whose time ran out without contact waits for its device. */
    private const WAITS_MS = 7 * 86_400_000;

    public function __construct(
        private SittingRepository $repository,
        private Recorder $recorder,
        private TestItems $items,
        private Settles $settlement,
        private KeyGate $gate,
    ) {
    }

    /**
     * Hands in for good, with what the tab had not sent yet. Handing in twice is the same as once; what comes with it
     * only then is not taken, and the answer says so.
     *
     * @param  list<Event>  $events
     * @param  int  $after  the highest sequence that the page knows to be held here
     * @return array<string, string> event id => why it does not count
     *
     * @throws Refusal
     */
    public function handIn(
        Sitting $sitting,
        string $tab,
        array $events,
        Awake $awake,
        int $after = 0,
    ): array {
        $this->recorder->refuseGap($sitting, $after);

        return $this->close(sitting: $sitting, tab: $tab, events: $events, awake: $awake, why: null);
    }

    /**
     * Hands in a sitting whose test has nothing more to ask.
     *
     * @param  string  $why  kept with the event
     *
     * @throws Refusal
     */
    public function end(Sitting $sitting, string $tab, Awake $awake, string $why): void
    {
        $this->close(sitting: $sitting, tab: $tab, events: [], awake: $awake, why: $why);
    }

    /**
     * @param  list<Event>  $events
     * @return array<string, string> event id => why it does not count
     *
     * @throws Refusal
     */
    private function close(Sitting $sitting, string $tab, array $events, Awake $awake, ?string $why): array
    {
        return $this->repository->write($sitting, function (Sitting $sitting, int $now) use (
            $tab,
            $events,
            $awake,
            $why,
        ): array {
            if ($sitting->isHandedIn()) {
                return $this->tooLate($sitting, $events, $now);
            }
            if (! $sitting->hasBegun()) {
                throw Refusal::unmet('not_started', 'This sitting has not begun, so there is nothing to hand in.');
            }
            $refused = $this->recorder->take(
                sitting: $sitting,
                tab: $tab,
                events: $events,
                awake: $awake,
                now: $now,
            );
            $stored = new SittingEvents($sitting);
            $stored->addOwn($stored->own(EventKind::HandedIn, $now, $why));
            $state = $this->repository->state($sitting, $now);
            $sitting->waited = $state->waited;
            $this->settlement->finish($sitting, $state);

            return Recorder::refusedOf($events, $state, $refused);
        });
    }

    /**
     * @param  list<Event>  $events
     * @return array<string, string> event id => why it does not count
     */
    private function tooLate(Sitting $sitting, array $events, int $now): array
    {
        $new = array_column((new SittingEvents($sitting))->fresh($events), 'id');
        $refused = array_fill_keys($new, 'The sitting had been handed in before this reached the server.');

        return Recorder::refusedOf($events, $this->repository->state($sitting, $now), $refused);
    }

    /** Whether its clock came to its end, if it ran on. Nothing is read for it. */
    public function isOverdue(Sitting $sitting): bool
    {
        return $sitting->status === Stage::Open
            && $sitting->deadline_ms !== null
            && $sitting->deadline_ms + Fold::GRACE_MS < $this->repository->nowFor($sitting);
    }

    /** Whether time has run out, though nobody was there to hand in. Writes nothing. */
    public function isOver(Sitting $sitting): bool
    {
        return $this->isOverdue($sitting)
            && $this->stateOfAbsent($sitting, $this->repository->nowFor($sitting))->byClock;
    }

    /** Until its time is up, whether anybody is there or not; null: no clock runs on for the whole of it. */
    public function leftMs(Sitting $sitting): ?int
    {
        $deadline = $sitting->status === Stage::Open ? $sitting->deadline_ms : null;
        if ($deadline === null || $sitting->terms()->pausable || $sitting->terms()->limit === null) {
            return null;
        }

        return max(0, $deadline - $this->repository->nowFor($sitting));
    }

    /**
     * Closes for good what is over, as it stands. What a device still holds is not taken any more.
     *
     * @throws Refusal when it is not over
     */
    public function closeOver(Sitting $sitting): void
    {
        $this->repository->write($sitting, function (Sitting $sitting, int $now): void {
            if ($sitting->isHandedIn()) {
                return;
            }
            if (! $this->isOver($sitting)) {
                throw Refusal::notHandedIn();
            }
            $events = new SittingEvents($sitting);
            $isHeld = self::isHeld($sitting);
            $this->repository->noteLostContact($sitting, Awake::unknown(), $now, isAwaited: $isHeld);
            $events->addOwn($events->own(EventKind::HandedIn, $now));
            $state = $this->repository->state($sitting, $now);
            $sitting->waited = $state->waited;
            $this->settlement->finish($sitting, $state);
        });
        $sitting->refresh();
    }

    /** Closes what is over and waits for nobody, and what has waited for its device for long enough. */
    public function closeAllOver(?User $user = null): int
    {
        $closed = 0;
        $overdue = Sitting::query()
            ->when($user !== null, fn (Builder $all): Builder => $all->where('user_id', $user?->id))
            ->where('status', Stage::Open)
            ->where('deadline_ms', '<', $this->repository->now() - Fold::GRACE_MS)
            ->lazyById(100);
        foreach ($overdue as $sitting) {
            $isLongAgo = (int) $sitting->deadline_ms + self::WAITS_MS < $this->repository->now();
            if ((! self::isHeld($sitting) || $isLongAgo) && $this->isOver($sitting)) {
                $this->closeOver($sitting);
                $closed++;
            }
        }

        return $closed;
    }

    /**
     * The gate before all that is told of a sitting only afterwards.
     *
     * @throws Refusal
     */
    public function refuseUntilHandedIn(Sitting $sitting): void
    {
        if ($sitting->isHandedIn()) {
            $this->gate->refuseResult($sitting);

            return;
        }
        if (! $this->isOver($sitting)) {
            throw Refusal::notHandedIn();
        }
        throw self::isHeld($sitting)
            ? Refusal::conflict(
                'waits_for_device',
                'Time ran out while the device had no contact. It may still hold answers that were made in time: they '
                .'count if it is back before you close this sitting, within seven days.',
            )
            : Refusal::conflict('to_be_closed', 'Time ran out. This sitting has to be closed before its result is told.');
    }

    /** Whether a device may still hold answers: one that went on with it and has not said that it left. */
    public static function isHeld(Sitting $sitting): bool
    {
        return $sitting->pen !== null || $sitting->packed_by !== null;
    }

    /** As it is if nobody was there since the last contact: where a closed lid stops the clock, it has stopped. */
    private function stateOfAbsent(Sitting $sitting, int $now): State
    {
        $events = new SittingEvents($sitting);
        $folding = $events->folding($sitting->terms());
        $lost = $this->repository->lostContact(
            sitting: $sitting,
            awake: Awake::unknown(),
            now: $now,
            folding: $folding,
            stored: $events,
        );

        return ($lost === [] ? $folding : $events->whole($sitting->terms(), $lost))->at($now);
    }

    /**
     * Takes the points that a candidate gives their own written answer, and settles the question anew.
     *
     * @param  array<string, string>  $points  by criterion
     *
     * @throws Refusal when the points do not fit the rubric
     */
    public function markByRubric(Sitting $sitting, int $position, array $points): void
    {
        $this->repository->write($sitting, function (Sitting $sitting, int $now) use ($position, $points): void {
            $question = $this->items->of($sitting->test_id, [$position])[$position]->question;
            $response = $this->repository->state($sitting, $now)->questions[$position]->response;
            try {
                $question->mark($response, $points);
            } catch (MalformedResponse $malformed) {
                throw Refusal::unmet('rubric', $malformed->getMessage());
            }
            $events = new SittingEvents($sitting);
            $events->addOwn(
                new Event(
                    id: 'server-'.Str::ulid(),
                    seq: $sitting->last_seq + 1,
                    kind: EventKind::RubricMarked,
                    at: $now,
                    position: $position,
                    value: $points,
                ),
            );
            $state = $this->repository->state($sitting, $now);
            if ($sitting->isHandedIn()) {
                $this->settlement->finish($sitting, $state);
            } else {
                $this->settlement->settle($sitting, $state, [$position]);
            }
        });
    }
}
