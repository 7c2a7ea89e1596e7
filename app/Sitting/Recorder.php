<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Assembly\TestItems;
use App\Http\Refusal;
use Closure;
use Uplandia\Core\Marking\MalformedResponse;
use Uplandia\Core\Refused;
use Uplandia\Core\Sitting\Awake;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\InvalidTerms;
use Uplandia\Core\Sitting\State;

/** Records what happens in a sitting. What is acknowledged is on the disk. */
final readonly class Recorder
{
    public function __construct(
        private SittingRepository $repository,
        private TabLock $tabLock,
        private TestItems $items,
        private Settles $settlement,
        private KeyGate $gate,
    ) {
    }

    /**
     * Records events from the tab that holds the pen.
     *
     * @param  list<Event>  $events
     * @param  int  $after  the highest sequence that the page knows to be held here
     *
     * @throws Refusal
     */
    public function record(
        Sitting $sitting,
        string $tab,
        array $events,
        Awake $awake,
        int $after = 0,
    ): Recorded {
        $this->refuseGap($sitting, $after);

        return $this->repository->writeOptimistically(
            $sitting,
            fn (Sitting $sitting, int $now): Closure => $this->prepare(
                sitting: $sitting,
                tab: $tab,
                events: $events,
                awake: $awake,
                now: $now,
            ),
        );
    }

    /**
     * Stores, under the lock of the caller, what can belong to the sitting; what of it counts is the fold's to say.
     *
     * @param  list<Event>  $events
     * @return array<string, string> event id => why it cannot belong to it
     *
     * @throws Refusal
     */
    public function take(Sitting $sitting, string $tab, array $events, Awake $awake, int $now): array
    {
        $this->checkMayWrite($sitting, $tab);
        $refused = $this->store(sitting: $sitting, events: $events, awake: $awake, now: $now);
        $this->tabLock->letGo($sitting, $events);

        return $refused;
    }

    /**
     * The same from a tab that has just been given the pen.
     *
     * @param  list<Event>  $events
     * @return array<string, string> event id => why it cannot belong to it
     */
    public function store(Sitting $sitting, array $events, Awake $awake, int $now): array
    {
        $stored = new SittingEvents($sitting);
        $this->repository->noteLostContact($sitting, $awake, $now);
        [$sound, $refused] = $this->sound($sitting, $stored->fresh($events));
        $full = $stored->full($sound);
        if ($full === null) {
            $stored->add($sound);
        } else {
            $refused += array_fill_keys(array_column($sound, 'id'), $full->getMessage());
        }
        $sitting->contact_ms = $now;

        return $refused;
    }

    /**
     * @param  list<Event>  $events
     * @return Closure(): Recorded
     *
     * @throws Refusal
     */
    private function prepare(Sitting $sitting, string $tab, array $events, Awake $awake, int $now): Closure
    {
        $this->repository->refuseHandedIn($sitting);
        $this->checkMayWrite($sitting, $tab);
        $stored = new SittingEvents($sitting);
        $folding = $stored->folding($sitting->terms());
        $snapshot = $stored->snapshotOf($folding);
        $lost = $this->repository->lostContact(sitting: $sitting, awake: $awake, now: $now, folding: $folding);
        [$sound, $refused] = $this->sound($sitting, $stored->fresh($events));
        $new = [...$lost, ...$sound];
        $stored->count($new);
        $state = $stored->onto($folding, $sitting->terms(), $new)->at($now);
        $this->tabLock->letGo($sitting, $events);
        $sitting->contact_ms = $now;
        SittingRepository::note($sitting, $state);

        return function () use ($sitting, $events, $state, $stored, $snapshot, $new, $refused): Recorded {
            $stored->insert($new);
            $stored->keepSnapshot($snapshot);
            $this->settleChecked($sitting, $state, $events);

            return new Recorded($state, self::refusedOf($events, $state, $refused), $sitting->last_seq);
        };
    }

    /** @throws Refusal where something that was acknowledged is missing: the server was put back */
    public function refuseGap(Sitting $sitting, int $after): void
    {
        if ($after > $sitting->last_seq && ! $sitting->isHandedIn()) {
            throw Refusal::conflict(
                'behind',
                'The server was put back to an earlier state. What this page has saved since then is sent again.',
            );
        }
    }

    /** @throws Refusal */
    private function checkMayWrite(Sitting $sitting, string $tab): void
    {
        if (! $sitting->hasBegun()) {
            throw Refusal::unmet('not_started', 'Begin the sitting first.');
        }
        $this->tabLock->check($sitting, $tab);
    }

    /**
     * @param  list<Event>  $events
     * @param  array<string, string>  $refused
     * @return array<string, string>
     */
    public static function refusedOf(array $events, State $state, array $refused): array
    {
        return $refused + array_intersect_key($state->refused, array_flip(array_column($events, 'id')));
    }

    /**
     * Sorts out what cannot belong to this test, so that everything stored can be marked.
     *
     * @param  list<Event>  $events
     * @return array{list<Event>, array<string, string>} those that can be stored; event id => why not
     */
    public function sound(Sitting $sitting, array $events): array
    {
        $terms = $sitting->terms();
        $answered = array_filter(
            $events,
            fn (Event $event): bool => $event->kind === EventKind::Answered && $event->position !== null,
        );
        $items = $this->items->of(
            $sitting->test_id,
            array_values(array_unique(array_map(fn (Event $event): int => (int) $event->position, $answered))),
        );
        $covered = $this->covered($sitting, $events);
        $sound = $refused = [];
        foreach ($events as $event) {
            try {
                $terms->check($event);
                $holder = $covered[$event->position ?? -1] ?? null;
                if ($holder !== null && self::asksForKey($event)) {
                    throw InvalidTerms::because(KeyGate::whyCovered($holder), 'held_back');
                }
                if (($event->position ?? -1) >= $sitting->questions) {
                    throw InvalidTerms::because('This question has not been asked yet.', 'unknown_question');
                }
                if ($event->kind === EventKind::Answered && $event->value !== null) {
                    $response = is_array($event->value)
                        ? $event->value
                        : throw MalformedResponse::because('A response must be an object or null.');
                    $items[(int) $event->position]->question->mark($response);
                }
                $sound[] = $event;
            } catch (Refused $malformed) {
                $refused[$event->id] = $malformed->getMessage();
            }
        }

        return [$sound, $refused];
    }

    private static function asksForKey(Event $event): bool
    {
        return $event->kind === EventKind::Checked || $event->kind === EventKind::Tried;
    }

    /**
     * @param  list<Event>  $events
     * @return array<int, RunningSitting> by position: what still asks a question whose key is asked for here
     */
    private function covered(Sitting $sitting, array $events): array
    {
        $asking = array_filter($events, self::asksForKey(...));
        $held = $asking === [] ? [] : $this->gate->covered($sitting->user_id, $sitting);
        $covered = [];
        foreach ($held === [] ? [] : $this->items->questions($sitting->test_id) as $position => $question) {
            if (isset($held[$question])) {
                $covered[$position] = $held[$question];
            }
        }

        return $covered;
    }

    /** @param  list<Event>  $events  among them those that ask for the key */
    public function settleChecked(Sitting $sitting, State $state, array $events): void
    {
        $checked = [];
        foreach ($events as $event) {
            $question = $state->questions[$event->position ?? -1] ?? null;
            if ($event->kind === EventKind::Checked && $question?->isChecked() === true) {
                $checked[(int) $event->position] = true;
            }
        }
        if ($checked !== []) {
            $this->settlement->settle($sitting, $state, array_keys($checked));
        }
    }
}
