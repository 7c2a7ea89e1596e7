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
    public function __construct(private Sitting $sitting)
    {
    }

    /** @return list<Event> */
    public function all(): array
    {
        $events = [];
        foreach (DB::table('sitting_events')->where('sitting_id', $this->sitting->id)->orderBy('id')->cursor() as $row) {
            $value = $row->value === null ? null : json_decode((string) $row->value, true, 32, JSON_THROW_ON_ERROR);
            $events[] = new Event(
                (string) $row->uid, (int) $row->seq, EventKind::from((string) $row->kind), (int) $row->at_ms,
                $row->made_ms === null ? null : (int) $row->made_ms, $row->position === null ? null : (int) $row->position,
                is_array($value) || is_bool($value) || is_int($value) || is_string($value) ? $value : null,
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
        $rows = array_map(fn (Event $event): array => [
            'sitting_id' => $this->sitting->id, 'uid' => $event->id, 'seq' => $event->seq, 'kind' => $event->kind->value, 'at_ms' => $event->at,
            'made_ms' => $event->madeAt, 'position' => $event->position, 'value' => $event->value === null ? null : json_encode($event->value, JSON_THROW_ON_ERROR),
        ], $events);
        DB::table('sitting_events')->insertOrIgnore($rows);
    }

    /** An event of the server's own: the browser has no say in it. */
    public function own(EventKind $kind, int $at): Event
    {
        return new Event('server-'.Str::ulid(), $this->lastSeq() + 1, $kind, $at);
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
}
