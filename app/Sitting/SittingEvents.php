<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Refusal;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use stdClass;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Folding;
use Uplandia\Core\Sitting\Terms;

/** The stored events of a sitting. They are only ever added to. */
final class SittingEvents
{
    /** Deeper than any response goes. */
    private const DEPTH = 32;

    /** No honest sitting has more; it keeps a runaway page from filling the disk. */
    private const MOST = 20_000;

    private const MOST_BYTES = 20 * 1024 * 1024;

    /** So many of the server's own may follow: a full sitting can still be handed in and marked. */
    private const MOST_OWN = 2_000;

    /** So many events may be folded anew before the state is put down again. */
    private const SNAPSHOT_AFTER = 24;

    /** Row of the latest event that is folded, and how many follow the snapshot. */
    private int $upTo = 0;

    private int $since = 0;

    /** @var list<Event>|null all that is stored, where it had to be read whole; null: not read, or more was stored */
    private ?array $whole = null;

    public function __construct(private readonly Sitting $sitting)
    {
    }

    /** The state as the stored events leave it: from the snapshot where it can be, else from the start. */
    public function folding(Terms $terms): Folding
    {
        /** @var stdClass|null $kept */
        $kept = DB::table('sitting_snapshots')->where('sitting_id', $this->sitting->id)->first();
        $folding = $kept === null ? null : Folding::resume($terms, (string) $kept->state);
        if ($kept === null || $folding === null) {
            return $this->whole($terms);
        }
        $this->upTo = (int) $kept->event_id;
        foreach ($this->stored()->where('id', '>', $kept->event_id)->cursor() as $row) {
            if (! $folding->take($this->event($row))) {
                return $this->whole($terms);
            }
            $this->upTo = (int) $row->id;
            $this->since++;
        }

        return $folding;
    }

    /** @param  list<Event>  $more  not stored yet */
    public function whole(Terms $terms, array $more = []): Folding
    {
        $events = $this->all();
        $this->since = count($events);

        return Folding::of($terms, [...$events, ...$more]);
    }

    /** @return list<Event> */
    private function all(): array
    {
        if ($this->whole !== null) {
            return $this->whole;
        }
        $events = [];
        foreach ($this->stored()->cursor() as $row) {
            $events[] = $this->event($row);
            $this->upTo = (int) $row->id;
        }

        return $this->whole = $events;
    }

    /**
     * The state after new events too, whether they follow in order or not.
     *
     * @param  list<Event>  $new  not stored yet
     */
    public function onto(Folding $folding, Terms $terms, array $new): Folding
    {
        usort($new, Event::inReceipt(...));
        foreach ($new as $event) {
            if (! $folding->take($event)) {
                return Folding::of($terms, [...$this->all(), ...$new]);
            }
        }

        return $folding;
    }

    /** What should be put down of a fold, when much has come since it was put down before; null: nothing. */
    public function snapshotOf(Folding $folding): ?string
    {
        return $this->since >= self::SNAPSHOT_AFTER ? $folding->snapshot() : null;
    }

    public function keepSnapshot(?string $state): void
    {
        if ($state !== null) {
            DB::table('sitting_snapshots')->upsert(
                ['sitting_id' => $this->sitting->id, 'event_id' => $this->upTo, 'state' => $state],
                ['sitting_id'],
            );
        }
    }

    /**
     * Those that are not stored yet. A repeated id is left alone, which is what makes saving idempotent.
     *
     * @param  list<Event>  $events
     * @return list<Event>
     */
    public function fresh(array $events): array
    {
        $known = [];
        foreach (array_chunk(array_column($events, 'id'), 500) as $ids) {
            $known += array_flip($this->stored()->whereIn('uid', $ids)->pluck('uid')->all());
        }
        $fresh = [];
        foreach ($events as $event) {
            if (! isset($known[$event->id])) {
                $known[$event->id] = 0;
                $fresh[] = $event;
            }
        }

        return $fresh;
    }

    /**
     * Stores what is not stored yet, and counts it on the sitting, which is the caller's to save.
     *
     * @param  list<Event>  $events  fresh ones
     *
     * @throws Refusal when the sitting would grow beyond all bounds
     */
    public function add(array $events): void
    {
        $this->count($events);
        $this->insert($events);
    }

    /** @param  list<Event>  $events  fresh ones, counted already */
    public function insert(array $events): void
    {
        $this->whole = null;
        foreach (array_chunk($events, 100) as $chunk) {
            DB::table('sitting_events')->insert(array_map($this->row(...), $chunk));
        }
    }

    /**
     * Stores what happened elsewhere, and counts it on the sitting.
     *
     * @param  list<Event>  $events  all of a sitting of which none are stored
     *
     * @throws Refusal when the sitting would grow beyond all bounds
     */
    public function bring(array $events): void
    {
        if (count($events) > self::MOST + self::MOST_OWN || self::bytes($events) > self::MOST_BYTES) {
            throw Refusal::unmet('too_many_events', 'A sitting can hold no more.');
        }
        $this->tally($events);
        $this->insert($events);
    }

    /**
     * Counts events on the sitting as if they were stored.
     *
     * @param  list<Event>  $events
     *
     * @throws Refusal when the sitting would grow beyond all bounds
     */
    public function count(array $events): void
    {
        $full = $this->full($events);
        if ($full !== null) {
            throw $full;
        }
        $this->tally($events);
    }

    /**
     * Stores an event of the server's own.
     *
     * @throws Refusal when the sitting would grow beyond all bounds
     */
    public function addOwn(Event $event): void
    {
        if ($this->sitting->events >= self::MOST + self::MOST_OWN) {
            throw Refusal::unmet('too_many_events', 'This sitting can hold no more.');
        }
        $this->tally([$event]);
        $this->insert([$event]);
    }

    /**
     * Why no more can be taken.
     *
     * @param  list<Event>  $events
     */
    public function full(array $events): ?Refusal
    {
        return match (true) {
            $events === [] => null,
            $this->sitting->events + count($events) > self::MOST => Refusal::unmet(
                'too_many_events',
                'This sitting has recorded more than 20,000 steps. Hand it in.',
            ),
            $this->sitting->bytes + self::bytes($events) > self::MOST_BYTES => Refusal::unmet(
                'too_large',
                'This sitting holds more than 20 megabytes of answers. Hand it in.',
            ),
            default => null,
        };
    }

    /** @param  list<Event>  $events */
    private function tally(array $events): void
    {
        $this->sitting->events += count($events);
        $this->sitting->bytes += self::bytes($events);
        $this->sitting->last_seq = max($this->sitting->last_seq, 0, ...array_column($events, 'seq'));
    }

    /** @param  list<Event>  $events */
    private static function bytes(array $events): int
    {
        return array_sum(array_map(fn (Event $event): int => strlen((string) self::json($event)), $events));
    }

    /**
     * An event of the server's own: the browser has no say in it.
     *
     * @param  array<mixed>|int|string|null  $value
     * @param  bool  $first  before all that is received in the same moment, else after all that was received so far
     */
    public function own(
        EventKind $kind,
        int $at,
        array|int|string|null $value = null,
        bool $first = false,
    ): Event {
        return new Event(
            id: Event::OWN.Str::ulid(),
            seq: $first ? 0 : $this->sitting->last_seq + 1,
            kind: $kind,
            at: $at,
            value: $value,
        );
    }

    /** @return array<string, mixed> */
    public function row(Event $event): array
    {
        return [
            'sitting_id' => $this->sitting->id,
            'uid' => $event->id,
            'seq' => $event->seq,
            'kind' => $event->kind->value,
            'at_ms' => $event->at,
            'made_ms' => $event->madeAt,
            'position' => $event->position,
            'value' => self::json($event),
        ];
    }

    private function stored(): Builder
    {
        return DB::table('sitting_events')->where('sitting_id', $this->sitting->id)->orderBy('id');
    }

    private function event(stdClass $row): Event
    {
        $value = $row->value === null
            ? null
            : json_decode((string) $row->value, true, self::DEPTH, JSON_THROW_ON_ERROR);

        return new Event(
            id: (string) $row->uid,
            seq: (int) $row->seq,
            kind: EventKind::from((string) $row->kind),
            at: (int) $row->at_ms,
            madeAt: $row->made_ms === null ? null : (int) $row->made_ms,
            position: $row->position === null ? null : (int) $row->position,
            value: is_array($value) || is_bool($value) || is_int($value) || is_string($value) ? $value : null,
        );
    }

    private static function json(Event $event): ?string
    {
        return $event->value === null ? null : json_encode($event->value, JSON_THROW_ON_ERROR);
    }
}
