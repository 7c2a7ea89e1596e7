<?php

declare(strict_types=1);

namespace App\Sitting;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;

/** The stored events of a sitting. They are only ever added to. */
final readonly class SittingEvents
{
    /** Deeper than any response goes. */
    private const DEPTH = 32;

    public function __construct(private Sitting $sitting)
    {
    }

    /** @return list<Event> */
    public function all(): array
    {
        $events = [];
        foreach (
            DB::table('sitting_events')->where('sitting_id', $this->sitting->id)->orderBy('id')->cursor() as $row
        ) {
            $value =
                $row->value === null
                    ? null
                    : json_decode((string) $row->value, true, self::DEPTH, JSON_THROW_ON_ERROR);
            $events[] = new Event(
                id: (string) $row->uid,
                seq: (int) $row->seq,
                kind: EventKind::from((string) $row->kind),
                at: (int) $row->at_ms,
                madeAt: $row->made_ms === null ? null : (int) $row->made_ms,
                position: $row->position === null ? null : (int) $row->position,
                value: is_array($value) || is_bool($value) || is_int($value) || is_string($value) ? $value : null,
            );
        }

        return $events;
    }

    /**
     * A repeated id is left alone, which is what makes saving idempotent.
     *
     * @param  list<Event>  $events
     */
    public function add(array $events): void
    {
        foreach (array_chunk($events, 100) as $chunk) {
            DB::table('sitting_events')->insertOrIgnore(array_map($this->row(...), $chunk));
        }
    }

    /** An event of the server's own: the browser has no say in it. */
    public function own(EventKind $kind, int $at): Event
    {
        return new Event(id: 'server-'.Str::ulid(), seq: $this->lastSeq() + 1, kind: $kind, at: $at);
    }

    public function lastSeq(): int
    {
        $last = DB::table('sitting_events')->where('sitting_id', $this->sitting->id)->max('seq');

        return is_numeric($last) ? (int) $last : 0;
    }

    public function count(): int
    {
        return DB::table('sitting_events')->where('sitting_id', $this->sitting->id)->count();
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
            'value' => $event->value === null ? null : json_encode($event->value, JSON_THROW_ON_ERROR),
        ];
    }
}
