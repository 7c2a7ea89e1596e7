<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

/**
 * One thing that happened. Times are Unix milliseconds of the server's clock.
 *
 * `value` by kind: answered, the response (null clears it); flagged, a bool; struck, a list of option ids; sureness, a
 * Sureness value or null; section_began, the section's index; rubric_marked, points by criterion; paused by the server,
 * when it knew of it; waited, since when there was no contact, and the gaps in which the device did not run, as
 * {since, gaps: [[from, until], …]} with null for "still"; otherwise null.
 */
final readonly class Event
{
    /** How ids of the server's own events begin; no browser may give one like it. */
    public const OWN = 'server-';

    /**
     * @param  string  $id  made by the client; a repeated id is the same event
     * @param  int  $seq  order in which the candidate did things, unique in the sitting
     * @param  int  $at  when the server received it
     * @param  int|null  $madeAt  when the browser says it was made; the server's own events have none
     * @param  int|null  $position  the question, from 0
     * @param  array<mixed>|bool|int|string|null  $value
     */
    public function __construct(
        public string $id,
        public int $seq,
        public EventKind $kind,
        public int $at,
        public ?int $madeAt = null,
        public ?int $position = null,
        public array|bool|int|string|null $value = null,
    ) {
    }

    /** Whether the server said it of its own. */
    public function isTheServers(): bool
    {
        return str_starts_with($this->id, self::OWN);
    }

    /** When it was done: what the browser says, but never after the server had it. */
    public function doneAt(): int
    {
        return min($this->madeAt ?? $this->at, $this->at);
    }

    /** Order of doing. */
    public static function inSequence(self $a, self $b): int
    {
        return self::compare([0, $a->seq, $a->id], [0, $b->seq, $b->id]);
    }

    /** Order of receipt: what moves the clock goes by this. */
    public static function inReceipt(self $a, self $b): int
    {
        // Hardly ever at the same moment: the rest of the place is not made for nothing.
        return $a->at <=> $b->at ?: self::compare($a->place(), $b->place());
    }

    /** @return array{int, int, string} its place in the order of receipt: moment, sequence, id */
    public function place(): array
    {
        return [$this->at, $this->seq, $this->id];
    }

    /**
     * Whether one place comes before another. What the server said of its own comes before what came with that word.
     *
     * @param  array{int, int, string}  $a
     * @param  array{int, int, string}  $b
     */
    public static function compare(array $a, array $b): int
    {
        $servers = static fn (string $id): int => str_starts_with($id, self::OWN) ? 0 : 1;

        // Ids not by <=>, to which "1e3" and "1000" are the same.
        return [$a[0], $a[1], $servers($a[2])] <=> [$b[0], $b[1], $servers($b[2])] ?: strcmp($a[2], $b[2]);
    }
}
