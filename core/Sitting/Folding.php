<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

use Uplandia\Core\Sitting\Internal\Absence;
use Uplandia\Core\Sitting\Internal\Clock;
use Uplandia\Core\Sitting\Internal\Entry;
use Uplandia\Core\Sitting\Internal\Lock;
use Uplandia\Core\Sitting\Internal\Sheet;
use Uplandia\Core\Sitting\Internal\Spell;

/**
 * A fold that can be put down as a snapshot and taken up again, so that what is new costs what is new. Folding onto a
 * snapshot gives the same state as folding from the start, but for the reasons of what was refused before it.
 */
final class Folding
{
    /** Of the snapshot's shape; another is not read. */
    private const VERSION = 6;

    private const BETWEEN = ':';

    /** What a snapshot is made of; nothing else is ever read from one. */
    private const PARTS = [
        Absence::class,
        Clock::class,
        Entry::class,
        Lock::class,
        Sheet::class,
        Spell::class,
        Sureness::class,
    ];

    /** @param  array{int, int, string}|null  $last  moment of receipt, sequence and id of the latest event */
    private function __construct(
        private readonly Terms $terms,
        private readonly Clock $clock,
        private readonly Sheet $sheet,
        private ?array $last = null,
    ) {
    }

    /** @param  iterable<Event>  $events  all of a sitting, in any order, any of them repeated */
    public static function of(Terms $terms, iterable $events): self
    {
        $unique = [];
        foreach ($events as $event) {
            $unique[$event->id] ??= $event;
        }
        usort($unique, Event::inReceipt(...));
        $clock = new Clock();
        $folding = new self($terms, $clock, new Sheet());
        $folding->bind();
        foreach ($unique as $event) {
            $folding->lay($event);
        }

        return $folding;
    }

    /**
     * @param  string  $snapshot  what `snapshot` gave under the same terms
     * @return self|null null: it is not whole, or of another version, and everything must be folded
     */
    public static function resume(Terms $terms, string $snapshot): ?self
    {
        [$print, $kept] = [...explode(self::BETWEEN, $snapshot, 2), ''];
        // Only what was written here is ever unpacked, so a torn or meddled one is never half believed.
        if (! hash_equals(self::fingerprint($kept), $print)) {
            return null;
        }
        $parts = unserialize($kept, ['allowed_classes' => self::PARTS]);
        assert(is_array($parts));
        /** @var array{Clock, Sheet, array{int, int, string}} $parts */
        [$clock, $sheet, $last] = $parts;
        $folding = new self(terms: $terms, clock: $clock, sheet: $sheet, last: $last);
        $folding->bind();

        return $folding;
    }

    /** @return string|null null: nothing has happened yet */
    public function snapshot(): ?string
    {
        if ($this->last === null) {
            return null;
        }
        $kept = serialize([$this->clock, $this->sheet, $this->last]);

        return self::fingerprint($kept).self::BETWEEN.$kept;
    }

    private static function fingerprint(string $kept): string
    {
        return hash('sha256', self::VERSION.$kept);
    }

    /**
     * Takes an event that has come since.
     *
     * @return bool false: it does not follow in order, nothing was done, and the whole must be folded anew
     */
    public function take(Event $event): bool
    {
        if ($this->last !== null && Event::compare($event->place(), $this->last) <= 0) {
            return false;
        }
        if ($event->kind === EventKind::Answered && ! $this->sheet->follows($event)) {
            return false;
        }
        $this->lay($event);

        return true;
    }

    /**
     * The state at a moment. The fold itself does not move: what comes later may have been received before.
     *
     * @param  int  $now  the server's clock, Unix milliseconds
     */
    public function at(int $now): State
    {
        $clock = clone $this->clock;
        $clock->advance($now);

        return $this->sheet->beside($clock)->at($now);
    }

    private function lay(Event $event): void
    {
        $this->clock->advance($event->at);
        $this->sheet->take($event);
        $this->last = $event->place();
    }

    private function bind(): void
    {
        $this->clock->bind($this->terms);
        $this->sheet->bind($this->terms, $this->clock);
    }
}
