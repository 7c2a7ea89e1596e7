<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use App\Assembly\TestItems;
use App\Http\Refusal;
use Illuminate\Support\Str;
use Uplandia\Core\Marking\MalformedResponse;
use Uplandia\Core\Marking\Marker;
use Uplandia\Core\Sitting\Awake;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Fold;
use Uplandia\Core\Sitting\Status;

/** How sittings end: handed in, or run out though nobody is there; and what may still be said afterwards. */
final readonly class Closing
{
    public function __construct(
        private Desk $desk,
        private Recorder $recorder,
        private TestItems $items,
        private Marker $marker,
        private Settles $settlement,
    ) {
    }

    /**
     * Hands in for good, with what the tab had not sent yet. Handing in twice is the same as once; what comes with it
     * only then is not taken, and the answer says so.
     *
     * @param  list<Event>  $events
     * @return array<string, string> event id => why it does not count
     *
     * @throws Refusal
     */
    public function handIn(Sitting $sitting, string $tab, array $events, Awake $awake): array
    {
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
        return $this->desk->write($sitting, function (Sitting $sitting, int $now) use (
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
            $state = $this->desk->state($sitting, $now);
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

        return Recorder::refusedOf($events, $this->desk->state($sitting, $now), $refused);
    }

    /** Hands in, as they stand, the sittings of a candidate whose time has run out. */
    public function settleOverdue(User $user): void
    {
        $overdue = Sitting::query()
            ->where('user_id', $user->id)
            ->where('status', Stage::Open)
            ->where('deadline_ms', '<', $this->desk->now() - Fold::GRACE_MS)
            ->get();
        foreach ($overdue as $sitting) {
            $this->settleIfOver($sitting);
        }
    }

    /** @param  Awake|null  $awake  what a page says of when it ran; null: nobody is asked */
    public function settleIfOver(Sitting $sitting, ?Awake $awake = null): void
    {
        $over = $sitting->deadline_ms !== null && $sitting->deadline_ms + Fold::GRACE_MS < $this->desk->now();
        if ($sitting->status !== Stage::Open || ! $over) {
            return;
        }
        // Only the device that took it along can say when anybody was there.
        if ($sitting->packed_by !== null && $sitting->terms()->pausable) {
            return;
        }
        $this->desk->write($sitting, function (Sitting $sitting, int $now) use ($awake): void {
            if ($sitting->isHandedIn()) {
                return;
            }
            $this->desk->pauseIfContactWasLost($sitting, $awake ?? Awake::unknown(), $now);
            $state = $this->desk->keep($sitting, $now);
            if ($state->status === Status::HandedIn) {
                $this->settlement->finish($sitting, $state);
            }
        });
        $sitting->refresh();
    }

    /**
     * The gate before all that is told of a sitting only afterwards.
     *
     * @throws Refusal
     */
    public function refuseUntilHandedIn(Sitting $sitting): void
    {
        $this->settleIfOver($sitting);
        if (! $sitting->isHandedIn()) {
            throw Refusal::notHandedIn();
        }
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
        $this->desk->write($sitting, function (Sitting $sitting, int $now) use ($position, $points): void {
            $question = $this->items->of($sitting->test_id, [$position])[$position]->question;
            $response = $this->desk->state($sitting, $now)->questions[$position]->response;
            try {
                $this->marker->mark($question, $response, $points);
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
            $state = $this->desk->state($sitting, $now);
            if ($sitting->isHandedIn()) {
                $this->settlement->finish($sitting, $state);
            } else {
                $this->settlement->settle($sitting, $state, [$position]);
            }
        });
    }
}
