<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use App\Http\Refusal;
use App\Scoring\Settlement;
use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Uplandia\Core\Marking\MalformedResponse;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Fold;
use Uplandia\Core\Sitting\LostContact;
use Uplandia\Core\Sitting\State;
use Uplandia\Core\Sitting\Status;

/** Opens sittings, records what happens in them, and hands them in. Every write is one transaction. */
final readonly class Sittings
{
    /** A tab that has been silent for so long has let go of the pen. */
    private const PEN_HELD_MS = 30_000;

    /** No honest sitting has more; it keeps a runaway page from filling the disk. */
    private const MOST_EVENTS = 20_000;

    public function __construct(private Settlement $settlement)
    {
    }

    public function state(Sitting $sitting, ?int $now = null): State
    {
        return Fold::of($sitting->terms(), (new SittingEvents($sitting))->all(), $now ?? Moment::now());
    }

    /**
     * Starts a sitting or goes on with it, and gives the tab the pen.
     *
     * @throws Refusal when it is handed in, or another tab holds the pen and `take` is not given
     */
    public function open(Sitting $sitting, string $tab, bool $take): State
    {
        return $this->writing($sitting, function (Sitting $sitting, int $now) use ($tab, $take): State {
            $this->refuseHandedIn($sitting);
            $held = $sitting->pen !== null && $sitting->pen !== $tab && $now - (int) $sitting->contact_ms < self::PEN_HELD_MS;
            if ($held && ! $take) {
                throw $this->openElsewhere();
            }
            $events = new SittingEvents($sitting);
            if ($sitting->status === 'not_started') {
                $events->add([$events->own(EventKind::Started, $now)]);
                $sitting->fill(['status' => 'open', 'started_ms' => $now]);
            }
            $this->pauseIfContactWasLost($sitting, $events, null, $now);
            $sitting->fill(['pen' => $tab, 'contact_ms' => $now]);

            return $this->keep($sitting, $now);
        });
    }

    /**
     * Records events from the tab that holds the pen. What is acknowledged is on the disk.
     *
     * @param  list<Event>  $events
     * @param  int|null  $awakeSince  since when the page has been awake, by its own word
     * @return array{State, array<string, string>} the state after it; event id => why it does not count
     *
     * @throws Refusal
     */
    public function record(Sitting $sitting, string $tab, array $events, ?int $awakeSince): array
    {
        return $this->writing($sitting, function (Sitting $sitting, int $now) use ($tab, $events, $awakeSince): array {
            $this->refuseHandedIn($sitting);
            $refused = $this->take($sitting, $tab, $events, $awakeSince, $now);
            $state = $this->keep($sitting, $now);
            $this->settleChecked($sitting, $state, $events);

            return [$state, $refused + array_intersect_key($state->refused, array_flip(array_column($events, 'id')))];
        });
    }

    /**
     * Hands in for good, with what the tab had not sent yet. Handing in twice is the same as once.
     *
     * @param  list<Event>  $events
     * @return array<string, string> event id => why it does not count
     *
     * @throws Refusal
     */
    public function handIn(Sitting $sitting, string $tab, array $events, ?int $awakeSince): array
    {
        return $this->writing($sitting, function (Sitting $sitting, int $now) use ($tab, $events, $awakeSince): array {
            if ($sitting->isHandedIn()) {
                return [];
            }
            if ($sitting->status === 'not_started') {
                throw Refusal::unmet('not_started', 'This sitting has not begun, so there is nothing to hand in.');
            }
            $refused = $this->take($sitting, $tab, $events, $awakeSince, $now);
            $stored = new SittingEvents($sitting);
            $stored->add([$stored->own(EventKind::HandedIn, $now)]);
            $state = $this->state($sitting, $now);
            $this->settlement->finish($sitting, $state, $now);

            return $refused + array_intersect_key($state->refused, array_flip(array_column($events, 'id')));
        });
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
        $this->writing($sitting, function (Sitting $sitting, int $now) use ($position, $points): void {
            $events = new SittingEvents($sitting);
            $response = $this->state($sitting, $now)->questions[$position]->response;
            try {
                $this->settlement->check($this->settlement->questions($sitting, [$position])[$position], $response, $points);
            } catch (MalformedResponse $malformed) {
                throw Refusal::unmet('rubric', $malformed->getMessage());
            }
            $events->add([new Event('server-'.Str::ulid(), $events->lastSeq() + 1, EventKind::RubricMarked, $now, null, $position, $points)]);
            $state = $this->state($sitting, $now);
            if ($sitting->isHandedIn()) {
                $this->settlement->finish($sitting, $state, (int) $sitting->ended_ms);
            } else {
                $this->settlement->settle($sitting, $state, [$position], $now);
            }
        });
    }

    /** Hands in, as they stand, the sittings of a candidate whose time has run out. */
    public function settleOverdue(User $user): void
    {
        $overdue = Sitting::query()->where('user_id', $user->id)->where('status', 'open')->where('deadline_ms', '<', Moment::now() - Fold::GRACE_MS)->get();
        foreach ($overdue as $sitting) {
            $this->settleIfOver($sitting);
        }
    }

    public function settleIfOver(Sitting $sitting): void
    {
        if ($sitting->status !== 'open' || $sitting->deadline_ms === null || $sitting->deadline_ms + Fold::GRACE_MS >= Moment::now()) {
            return;
        }
        $this->writing($sitting, function (Sitting $sitting, int $now): void {
            if ($sitting->isHandedIn()) {
                return;
            }
            $this->pauseIfContactWasLost($sitting, new SittingEvents($sitting), null, $now);
            $state = $this->keep($sitting, $now);
            if ($state->status === Status::HandedIn) {
                $this->settlement->finish($sitting, $state, $now);
            }
        });
        $sitting->refresh();
    }

    /**
     * @param  list<Event>  $events
     * @return array<string, string>
     */
    private function take(Sitting $sitting, string $tab, array $events, ?int $awakeSince, int $now): array
    {
        if ($sitting->status === 'not_started') {
            throw Refusal::unmet('not_started', 'Begin the sitting first.');
        }
        if ($sitting->pen !== $tab) {
            throw $this->openElsewhere();
        }
        $stored = new SittingEvents($sitting);
        if ($stored->count() + count($events) > self::MOST_EVENTS) {
            throw Refusal::unmet('too_many_events', 'This sitting has recorded more than 20,000 steps. Hand it in.');
        }
        $this->pauseIfContactWasLost($sitting, $stored, $awakeSince, $now);
        [$sound, $refused] = $this->sound($sitting, $events);
        $stored->add($sound);
        $last = $events === [] ? null : $events[count($events) - 1];
        if ($last?->kind === EventKind::Left && $last->doneAt() >= (int) $sitting->contact_ms) {
            // The page has gone: the next one need not ask for the pen. (Unless it has come back before this letter.)
            $sitting->pen = null;
        }
        $sitting->contact_ms = $now;

        return $refused;
    }

    /**
     * Sorts out what cannot belong to this test, so that everything stored can be marked.
     *
     * @param  list<Event>  $events
     * @return array{list<Event>, array<string, string>}
     */
    private function sound(Sitting $sitting, array $events): array
    {
        $answers = array_filter($events, fn (Event $event): bool => $event->kind === EventKind::Answered && $event->position !== null);
        $questions = $this->settlement->questions($sitting, array_values(array_unique(array_column($answers, 'position'))));
        $sound = $refused = [];
        foreach ($events as $event) {
            $needsPosition = ! in_array($event->kind, [EventKind::Left, EventKind::Paused, EventKind::Resumed], true);
            if ($needsPosition && ($event->position === null || $event->position >= $sitting->questions)) {
                $refused[$event->id] = 'The test has no such question.';

                continue;
            }
            try {
                if ($event->kind === EventKind::Answered) {
                    $this->settlement->check($questions[(int) $event->position], $event->value);
                }
                $sound[] = $event;
            } catch (MalformedResponse $malformed) {
                $refused[$event->id] = $malformed->getMessage();
            }
        }

        return [$sound, $refused];
    }

    private function pauseIfContactWasLost(Sitting $sitting, SittingEvents $events, ?int $awakeSince, int $now): void
    {
        $from = $sitting->contact_ms === null || ! $sitting->terms()->pausable ? null : LostContact::pausedFrom($sitting->contact_ms, $awakeSince, $now);
        if ($from !== null && $this->state($sitting, $now)->status !== Status::Paused) {
            $events->add([$events->own(EventKind::Paused, $from)]);
        }
    }

    /** @param  list<Event>  $events */
    private function settleChecked(Sitting $sitting, State $state, array $events): void
    {
        $checked = [];
        foreach ($events as $event) {
            if ($event->kind === EventKind::Checked && $event->position !== null && ($state->questions[$event->position] ?? null)?->checked === true) {
                $checked[] = $event->position;
            }
        }
        if ($checked !== []) {
            $this->settlement->settle($sitting, $state, array_values(array_unique($checked)), Moment::now());
        }
    }

    private function keep(Sitting $sitting, int $now): State
    {
        $state = $this->state($sitting, $now);
        $sitting->deadline_ms = $state->status === Status::HandedIn ? $state->endedAt : $state->deadline;
        $sitting->active_ms = $state->activeMs;
        $sitting->answered = $state->answered();
        $sitting->save();

        return $state;
    }

    private function refuseHandedIn(Sitting $sitting): void
    {
        if ($sitting->isHandedIn()) {
            throw Refusal::conflict('handed_in', 'This sitting has been handed in. Its result is ready.');
        }
    }

    private function openElsewhere(): Refusal
    {
        return Refusal::conflict('open_elsewhere', 'This sitting is open in another tab or on another device. You can go on here; the other one will stop.');
    }

    /**
     * @template T
     *
     * @param  Closure(Sitting, int): T  $work
     * @return T
     */
    private function writing(Sitting $sitting, Closure $work): mixed
    {
        // The transaction takes the write lock at once (IMMEDIATE), so two tabs come one after the other.
        return DB::transaction(function () use ($sitting, $work): mixed {
            $fresh = Sitting::query()->with('test')->lockForUpdate()->findOrFail($sitting->id);

            return $work($fresh, Moment::now());
        }, 3);
    }
}
