<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

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
    private const VERSION = 5;

    /** What a snapshot is made of; nothing else is ever read from one. */
    private const PARTS = [Clock::class, Sheet::class, Entry::class, Lock::class, Spell::class, Sureness::class];

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
     * @return self|null null: it cannot be read, and the whole must be folded
     */
    public static function resume(Terms $terms, string $snapshot): ?self
    {
        $kept = @unserialize($snapshot, ['allowed_classes' => self::PARTS]);
        if (! is_array($kept) || count($kept) !== 4 || $kept[0] !== self::VERSION) {
            return null;
        }
        [, $clock, $sheet, $last] = array_values($kept);
        if (! $clock instanceof Clock || ! $sheet instanceof Sheet || ! is_array($last)) {
            return null;
        }
        [$at, $seq, $id] = [...array_values($last), null, null, null];
        if (! is_int($at) || ! is_int($seq) || ! is_string($id)) {
            return null;
        }
        $folding = new self(terms: $terms, clock: $clock, sheet: $sheet, last: [$at, $seq, $id]);
        $folding->bind();

        return $folding;
    }

    /** @return string|null null: nothing has happened yet */
    public function snapshot(): ?string
    {
        return $this->last === null ? null : serialize([self::VERSION, $this->clock, $this->sheet, $this->last]);
    }

    /**
     * Takes an event that has come since.
     *
     * @return bool false: it does not follow in order, nothing was done, and the whole must be folded anew
     */
    public function take(Event $event): bool
    {
        if ($this->last !== null && ! self::isAfter($event, $this->last)) {
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
        $this->last = self::place($event);
    }

    private function bind(): void
    {
        $this->clock->bind($this->terms);
        $this->sheet->bind($this->terms, $this->clock);
    }

    /** @return array{int, int, string} */
    private static function place(Event $event): array
    {
        return [$event->at, $event->seq, $event->id];
    }

    /**
     * As Event::inReceipt has it.
     *
     * @param  array{int, int, string}  $last
     */
    private static function isAfter(Event $event, array $last): bool
    {
        [$at, $seq, $id] = $last;

        return ($event->at <=> $at ?: $event->seq <=> $seq ?: strcmp($event->id, $id)) > 0;
    }
}
