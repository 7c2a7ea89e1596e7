<?php

declare(strict_types=1);

namespace App\Sitting;

use Closure;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;

/** Reads the events of a letter. */
final class SentEvents
{
    public const NOT_UNDERSTOOD = 'This page sent something that the server does not understand. Reload the page; what was saved is kept.';

    private const KEYS = ['id' => 0, 'seq' => 0, 'kind' => 0, 'madeAt' => 0, 'position' => 0, 'value' => 0];

    private const LONGEST_ID = 64;

    private const MOST_SEQ = 1_000_000;

    private const MOST_POSITION = 1000;

    /** Of the value of one event. */
    private const MOST_BYTES = 64 * 1024;

    /** One rule for all of them: a rule for each of their parts would cost more than to save them. */
    public static function areSound(string $field, mixed $events, Closure $fail): void
    {
        foreach (is_array($events) ? $events : [] as $event) {
            if (! is_array($event) || ! self::isSound($event)) {
                $fail(self::NOT_UNDERSTOOD);

                return;
            }
        }
    }

    /**
     * @param  mixed  $events  sound ones, or nothing
     * @return list<Event> received at a moment
     */
    public static function of(mixed $events, int $at): array
    {
        $read = [];
        foreach (is_array($events) ? $events : [] as $event) {
            assert(is_array($event));
            $value = $event['value'] ?? null;
            $read[] = new Event(
                id: (string) $event['id'],
                seq: (int) $event['seq'],
                kind: EventKind::from((string) $event['kind']),
                at: $at,
                madeAt: isset($event['madeAt']) ? (int) $event['madeAt'] : null,
                position: isset($event['position']) ? (int) $event['position'] : null,
                value: is_array($value) || is_bool($value) || is_int($value) || is_string($value) ? $value : null,
            );
        }

        return $read;
    }

    /** @param  array<mixed>  $event */
    private static function isSound(array $event): bool
    {
        $whole = static fn (string $name, int $least, int $most): bool => is_int($event[$name] ?? null) &&
            $event[$name] >= $least &&
            $event[$name] <= $most;
        $maybe = static fn (string $name, int $most): bool => ! isset($event[$name]) || $whole($name, 0, $most);
        $id = $event['id'] ?? null;
        $kind = $event['kind'] ?? null;

        return is_string($id) &&
            $id !== '' &&
            strlen($id) <= self::LONGEST_ID &&
            ! str_starts_with($id, Event::OWN) &&
            is_string($kind) &&
            EventKind::tryFrom($kind)?->isTheBrowsers() === true &&
            $whole('seq', 1, self::MOST_SEQ) &&
            $maybe('madeAt', PHP_INT_MAX) &&
            $maybe('position', self::MOST_POSITION) &&
            array_diff_key($event, self::KEYS) === [] &&
            strlen((string) json_encode($event['value'] ?? null)) <= self::MOST_BYTES;
    }
}
