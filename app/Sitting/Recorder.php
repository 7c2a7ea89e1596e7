<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Assembly\TestItems;
use App\Http\Refusal;
use Uplandia\Core\Marking\MalformedResponse;
use Uplandia\Core\Marking\Marker;
use Uplandia\Core\Refused;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\State;

/** Records what happens in a sitting. What is acknowledged is on the disk. */
final readonly class Recorder
{
    /** No honest sitting has more; it keeps a runaway page from filling the disk. */
    private const MOST_EVENTS = 20_000;

    public function __construct(
        private Desk $desk,
        private Pen $pen,
        private TestItems $items,
        private Marker $marker,
        private Settles $settlement,
    ) {
    }

    /**
     * Records events from the tab that holds the pen.
     *
     * @param  list<Event>  $events
     * @param  int|null  $awakeSince  since when the page has been awake, by its own word
     * @return array{State, array<string, string>} the state after it; event id => why it does not count
     *
     * @throws Refusal
     */
    public function record(Sitting $sitting, string $tab, array $events, ?int $awakeSince): array
    {
        return $this->desk->write($sitting, function (Sitting $sitting, int $now) use (
            $tab,
            $events,
            $awakeSince,
        ): array {
            $this->desk->refuseHandedIn($sitting);
            $refused = $this->take(sitting: $sitting, tab: $tab, events: $events, awakeSince: $awakeSince, now: $now);
            $state = $this->desk->keep($sitting, $now);
            $this->settleChecked($sitting, $state, $events);

            return [$state, self::refusedOf($events, $state, $refused)];
        });
    }

    /**
     * Stores what can belong to the sitting; what of it counts is the fold's to say.
     *
     * @param  list<Event>  $events
     * @return array<string, string> event id => why it cannot belong to it
     *
     * @throws Refusal
     */
    public function take(Sitting $sitting, string $tab, array $events, ?int $awakeSince, int $now): array
    {
        if (! $sitting->hasBegun()) {
            throw Refusal::unmet('not_started', 'Begin the sitting first.');
        }
        $this->pen->check($sitting, $tab);
        $stored = new SittingEvents($sitting);
        if ($stored->count() + count($events) > self::MOST_EVENTS) {
            throw Refusal::unmet('too_many_events', 'This sitting has recorded more than 20,000 steps. Hand it in.');
        }
        $this->desk->pauseIfContactWasLost($sitting, $awakeSince, $now);
        [$sound, $refused] = $this->sound($sitting, $events);
        $stored->add($sound);
        $this->pen->letGo($sitting, $events);
        $sitting->contact_ms = $now;

        return $refused;
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
     * @return array{list<Event>, array<string, string>}
     */
    private function sound(Sitting $sitting, array $events): array
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
        $sound = $refused = [];
        foreach ($events as $event) {
            try {
                $terms->check($event);
                if ($event->kind === EventKind::Answered && $event->value !== null) {
                    $response = is_array($event->value)
                        ? $event->value
                        : throw MalformedResponse::because('A response must be an object or null.');
                    $this->marker->mark($items[(int) $event->position]->question, $response);
                }
                $sound[] = $event;
            } catch (Refused $malformed) {
                $refused[$event->id] = $malformed->getMessage();
            }
        }

        return [$sound, $refused];
    }

    /** @param  list<Event>  $events */
    private function settleChecked(Sitting $sitting, State $state, array $events): void
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
