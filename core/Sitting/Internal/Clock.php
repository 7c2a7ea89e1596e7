<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting\Internal;

use Uplandia\Core\Sitting\ActiveTime;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Fold;
use Uplandia\Core\Sitting\Terms;

/** The sitting's time: when it started, paused, broke off, changed section, and ended. */
final readonly class Clock
{
    private const CLOCK_KINDS = [EventKind::Started, EventKind::Paused, EventKind::Resumed, EventKind::BreakBegan, EventKind::BreakEnded, EventKind::SectionBegan, EventKind::HandedIn];

    /**
     * @param  list<array{int, int|null}>  $pauses
     * @param  list<array{int, int|null}>  $breaks
     * @param  list<array{int, int|null}>  $sections  active time from, to (null: open)
     * @param  list<array{int, int|null}>  $questions  with a limit a question: active time from, to, for those whose turn has come
     */
    private function __construct(
        public ?int $startedAt,
        public ?int $endedAt,
        public bool $byClock,
        public ActiveTime $active,
        public array $pauses,
        public array $breaks,
        public array $sections,
        public array $questions,
        /** Active time at which the whole sitting runs out. */
        public ?int $limit,
    ) {
    }

    /** @param  array<string, Event>  $events */
    public static function of(Terms $terms, array $events): self
    {
        $moving = array_filter($events, static fn (Event $event): bool => in_array($event->kind, self::CLOCK_KINDS, true));
        usort($moving, Event::inReceipt(...));
        $startedAt = null;
        foreach ($moving as $event) {
            if ($event->kind === EventKind::Started) {
                $startedAt = $event->at;
                break;
            }
        }
        if ($startedAt === null) {
            return new self(null, null, false, ActiveTime::since(0, []), [], [], [], [], $terms->limit);
        }
        $handedIn = null;
        foreach ($moving as $event) {
            if ($event->kind === EventKind::HandedIn && $event->at >= $startedAt) {
                $handedIn = $event->at;
                break;
            }
        }
        // Nothing that comes after hand-in may move the clock.
        $moving = array_values(array_filter($moving, static fn (Event $event): bool => $event->at >= $startedAt && ($handedIn === null || $event->at <= $handedIn)));
        $pauses = $terms->pausable ? self::spells($moving, EventKind::Paused, EventKind::Resumed) : [];
        $active = ActiveTime::since($startedAt, $pauses);
        $sections = self::sections($terms, $moving, $active);
        $questions = $terms->questionLimit === null ? [] : self::turns($terms, $events, $active, $terms->questionLimit);

        $limits = array_filter([
            $terms->limit,
            $terms->sectionsInTurn() && count($sections) === count($terms->sectionLimits) ? $sections[count($sections) - 1][1] : null,
            count($questions) === count($terms->items) ? $questions[count($questions) - 1][1] : null,
        ], is_int(...));
        $limit = $limits === [] ? null : min($limits);
        $zero = $limit === null ? null : $active->momentOf($limit);
        $byClock = $zero !== null && ($handedIn === null || $zero <= $handedIn);

        return new self($startedAt, $byClock ? $zero : $handedIn, $byClock, $active, $pauses, array_slice(self::spells($moving, EventKind::BreakBegan, EventKind::BreakEnded), 0, $terms->breaks), $sections, $questions, $limit);
    }

    /** Whether something was done by a moment and has arrived in time to count. */
    public static function madeBy(Event $event, int $moment): bool
    {
        return $event->doneAt() <= $moment && $event->at <= $moment + Fold::GRACE_MS;
    }

    /** Index of the section that is open at an active time. */
    public function sectionAt(int $active): int
    {
        $open = 0;
        foreach ($this->sections as $i => [$from]) {
            if ($from <= $active) {
                $open = $i;
            }
        }

        return $open;
    }

    /**
     * @param  list<Event>  $moving  in order of receipt
     * @return list<array{int, int|null}>
     */
    private static function spells(array $moving, EventKind $from, EventKind $to): array
    {
        $spells = [];
        $open = null;
        foreach ($moving as $event) {
            if ($event->kind === $from) {
                $open ??= $event->at;
            } elseif ($event->kind === $to && $open !== null) {
                $spells[] = [$open, $event->at];
                $open = null;
            }
        }
        if ($open !== null) {
            $spells[] = [$open, null];
        }

        return $spells;
    }

    /**
     * Each section runs from the end of the one before until the candidate moves on or its limit is reached.
     *
     * @param  list<Event>  $moving
     * @return list<array{int, int|null}> active time from, to
     */
    private static function sections(Terms $terms, array $moving, ActiveTime $active): array
    {
        if (! $terms->sectionsInTurn()) {
            return [];
        }
        $sections = [];
        $from = 0;
        foreach ($terms->sectionLimits as $i => $limit) {
            $to = $limit === null ? null : $from + $limit;
            foreach ($moving as $event) {
                if ($event->kind === EventKind::SectionBegan && $event->value === $i + 1 && $active->upTo($event->at) >= $from) {
                    $to = min($to ?? PHP_INT_MAX, $active->upTo($event->at));
                    break;
                }
            }
            $sections[] = [$from, $to];
            if ($to === null) {
                break;
            }
            $from = $to;
        }

        return $sections;
    }

    /**
     * With a limit a question, each has its turn from the end of the one before until the next is shown or time is up.
     *
     * @param  array<string, Event>  $events
     * @return list<array{int, int|null}>
     */
    private static function turns(Terms $terms, array $events, ActiveTime $active, int $limit): array
    {
        $shown = [];
        foreach ($events as $event) {
            if ($event->kind === EventKind::Shown && $event->position !== null) {
                $shown[$event->position][] = $active->upTo($event->doneAt());
            }
        }
        $turns = [];
        $from = 0;
        foreach (array_keys($terms->items) as $i) {
            $moved = array_filter($shown[$i + 1] ?? [], static fn (int $at): bool => $at >= $from);
            $to = min([$from + $limit, ...$moved]);
            $turns[] = [$from, $to];
            $from = $to;
        }

        return $turns;
    }
}
