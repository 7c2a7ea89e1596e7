<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting\Internal;

use Uplandia\Core\Sitting\ActiveTime;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Fold;
use Uplandia\Core\Sitting\Terms;

/**
 * The sitting's time: when it started, paused, broke off, changed section or question, and ended. Events come in the
 * order of receipt; before each, time runs on to it. Moments are Unix milliseconds.
 */
final class Clock
{
    public ?int $startedAt = null;

    /** When reading is over and active time begins; the start, where there is none. */
    private int $readUntil = 0;

    public ?int $endedAt = null;

    public bool $byClock = false;

    /** @var list<Absence> */
    private array $absences = [];

    /** When it was closed for good: nothing is waited for any more. */
    private ?int $closedAt = null;

    /** Index of the section that is open. */
    public int $section = 0;

    /** @var list<int> section => moment it closed */
    public array $sectionEnds = [];

    /** With a limit a question: whose turn it is. */
    public int $turn = 0;

    /** @var list<int> question => moment its turn ended */
    public array $turnEnds = [];

    /** @var list<Spell> */
    public array $pauses = [];

    /** @var list<Spell> */
    public array $breaks = [];

    /** Active time at which the open section, and the present turn, began. */
    private int $sectionFrom = 0;

    private int $turnFrom = 0;

    private ?ActiveTime $active = null;

    private Terms $terms;

    public function bind(Terms $terms): void
    {
        $this->terms = $terms;
    }

    /** @return list<string> what a snapshot keeps: not the terms, and not what follows from the rest */
    public function __sleep(): array
    {
        return [
            'startedAt', 'readUntil', 'endedAt', 'byClock', 'absences', 'closedAt', 'section', 'sectionEnds', 'turn',
            'turnEnds', 'pauses', 'breaks', 'sectionFrom', 'turnFrom',
        ];
    }

    /** Lets time run to a moment: whatever runs out on the way, runs out. */
    public function advance(int $to): void
    {
        while ($this->startedAt !== null && $this->endedAt === null) {
            $next = $this->nearest();
            if ($next === null || $this->activeUpTo($to) < $next) {
                return;
            }
            $moment = $this->timeline()->momentOf($next) ?? $to;
            match ($next) {
                $this->terms->answering() => $this->end($moment, true),
                $this->sectionLimit() => $this->closeSection($next, $moment),
                default => $this->closeTurn($next, $moment),
            };
        }
    }

    /** Active time at which the nearest clock runs out; null: none runs. */
    public function nearest(): ?int
    {
        return self::earliest($this->terms->answering(), $this->sectionLimit(), $this->turnLimit());
    }

    /**
     * What moves the clock.
     *
     * @return string|null why it does not
     */
    public function take(Event $event): ?string
    {
        if ($event->kind === EventKind::Started) {
            if ($this->startedAt === null) {
                $this->startedAt = $event->at;
                $this->readUntil = $event->at + $this->terms->reading;
            }

            return null;
        }
        if ($this->startedAt === null) {
            return null;
        }
        if ($event->kind === EventKind::Waited) {
            $this->absences = [...$this->absences, ...array_filter([Absence::toldBy($event)])];

            return null;
        }
        if ($this->endedAt !== null) {
            $this->closedAt ??= $event->kind === EventKind::HandedIn ? $event->at : null;

            return null;
        }

        if ($this->isReading($event->at) && $event->kind !== EventKind::HandedIn) {
            return $this->whileReading($event);
        }

        return match ($event->kind) {
            EventKind::HandedIn => $this->end($event->at, false),
            EventKind::Paused => $this->pause($event),
            EventKind::Resumed => $this->resume($event),
            EventKind::BreakBegan => $this->beginBreak($event),
            EventKind::BreakEnded => Spell::close($this->breaks, $event),
            EventKind::SectionBegan => $this->beginSection($event),
            default => null,
        };
    }

    /** The candidate goes on to the next question, where each has its own time. */
    public function showTurn(int $position, int $at): void
    {
        if ($this->terms->questionLimit !== null && $position === $this->turn + 1) {
            $this->closeTurn($this->activeUpTo($at), $at);
        }
    }

    public function isReading(int $moment): bool
    {
        return $this->startedAt !== null && $this->endedAt === null && $moment < $this->readUntil;
    }

    /** When reading is over at the latest; null: it is over, or there is none. */
    public function readingUntil(int $moment): ?int
    {
        return $this->isReading($moment) ? $this->readUntil : null;
    }

    public function isPaused(): bool
    {
        return Spell::open($this->pauses) !== null;
    }

    public function isOnBreak(): bool
    {
        return Spell::open($this->breaks) !== null;
    }

    /** Active time from the start to a moment, pauses left out. */
    public function activeUpTo(int $moment): int
    {
        return $this->startedAt === null ? 0 : $this->timeline()->upTo(min($moment, $this->endedAt ?? $moment));
    }

    /** The same with breaks left out: a break does not stop the clock, but no question is on screen. */
    public function onScreenUpTo(int $moment): int
    {
        $onBreak = 0;
        foreach ($this->breaks as $spell) {
            $onBreak +=
                $this->activeUpTo(min($moment, $spell->to ?? $moment)) - $this->activeUpTo(min($moment, $spell->from));
        }

        return $this->activeUpTo($moment) - $onBreak;
    }

    /** When the clock will have run out; null: it stands, or none runs. */
    public function deadline(): ?int
    {
        $nearest = $this->nearest();

        return $nearest === null || $this->startedAt === null || $this->isPaused()
            ? null
            : $this->timeline()->momentOf($nearest);
    }

    /** When a question's own time was over; null: it is not, or it has none. */
    public function closedAt(int $position): ?int
    {
        return self::earliest(
            $this->endedAt,
            $this->turnEnds[$position] ?? null,
            $this->terms->sectionsInTurn()
                ? $this->sectionEnds[$this->terms->items[$position]->section] ?? null
                : null,
        );
    }

    /** Whether something done before the end may still be told. */
    public function hears(Event $event): bool
    {
        return $this->endedAt === null || ($this->byClock && $this->hearsUpTo($this->endedAt, $event));
    }

    /**
     * Whether something done before a limit may still be told: for five seconds, and later by a device that had no
     * contact then. What such a device says of a section comes with its first word; of the whole, until it is closed.
     */
    public function hearsUpTo(int $limit, Event $event): bool
    {
        if ($event->doneAt() > $limit || $event->at <= $limit + Fold::GRACE_MS) {
            return $event->doneAt() <= $limit;
        }
        foreach ($this->closedAt === null ? $this->absences : [] as $absence) {
            $awaited = $limit === $this->endedAt || $absence->endsWith($event);
            if ($absence->covers($limit) && $awaited && $absence->ranAt($event->doneAt())) {
                return true;
            }
        }

        return false;
    }

    /** Whether its device had no contact when time ran out, and came back later. */
    public function waited(): bool
    {
        foreach ($this->absences as $absence) {
            if ($this->byClock && $absence->covers((int) $this->endedAt)) {
                return true;
            }
        }

        return false;
    }

    private function end(int $at, bool $byClock): null
    {
        $this->endedAt = $at;
        $this->byClock = $byClock;

        return null;
    }

    private function whileReading(Event $event): ?string
    {
        if ($event->kind !== EventKind::ReadingEnded) {
            return 'Reading is not over yet.';
        }
        $this->readUntil = $event->at;
        $this->active = null;

        return null;
    }

    private function pause(Event $event): ?string
    {
        if (! $this->terms->pausable) {
            return 'This sitting cannot be paused.';
        }
        if (! $this->isPaused()) {
            $this->pauses[] = new Spell($event);
            $this->active = null;
        }

        return null;
    }

    private function resume(Event $event): null
    {
        Spell::close($this->pauses, $event);
        $this->active = null;

        return null;
    }

    private function beginBreak(Event $event): ?string
    {
        if (count($this->breaks) >= $this->terms->breaks) {
            return 'There is no break left to take.';
        }
        if (! $this->isOnBreak()) {
            $this->breaks[] = new Spell($event);
        }

        return null;
    }

    private function beginSection(Event $event): ?string
    {
        if (! $this->terms->hasSectionToBegin($event->value) || $event->value !== $this->section + 1) {
            return 'The test has no such section to begin.';
        }
        $this->closeSection($this->activeUpTo($event->at), $event->at);

        return null;
    }

    private function sectionLimit(): ?int
    {
        $limit = $this->terms->sectionsInTurn() ? $this->terms->sections[$this->section]->limit ?? null : null;

        return $limit === null ? null : $this->sectionFrom + $limit;
    }

    private function turnLimit(): ?int
    {
        return $this->terms->questionLimit === null ? null : $this->turnFrom + $this->terms->questionLimit;
    }

    private function closeSection(int $active, int $moment): null
    {
        $this->sectionEnds[] = $moment;
        if ($this->section === count($this->terms->sections) - 1) {
            return $this->end($moment, true);
        }
        $this->section++;
        $this->sectionFrom = $active;

        return null;
    }

    private function closeTurn(int $active, int $moment): null
    {
        $this->turnEnds[] = $moment;
        if ($this->turn === count($this->terms->items) - 1) {
            return $this->end($moment, true);
        }
        $this->turn++;
        $this->turnFrom = $active;

        return null;
    }

    /** Of those that are; null: none is. Asked at every event, so without an array. */
    private static function earliest(?int $one, ?int $other, ?int $third): ?int
    {
        $least = $one;
        if ($other !== null && ($least === null || $other < $least)) {
            $least = $other;
        }

        return $third !== null && ($least === null || $third < $least) ? $third : $least;
    }

    private function timeline(): ActiveTime
    {
        return $this->active ??= ActiveTime::since(
            $this->readUntil,
            array_map(static fn (Spell $spell): array => [$spell->from, $spell->to], $this->pauses),
        );
    }
}
