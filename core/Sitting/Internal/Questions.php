<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting\Internal;

use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Mode;
use Uplandia\Core\Sitting\QuestionState;
use Uplandia\Core\Sitting\State;
use Uplandia\Core\Sitting\Status;
use Uplandia\Core\Sitting\Sureness;
use Uplandia\Core\Sitting\Terms;

/** What was done to each question, and which of it counts. */
final class Questions
{
    /** @var list<Event> in order of doing */
    private array $done = [];

    /** @var array<int, Event> question => its first check, by receipt */
    private array $checks = [];

    /** @var array<int, int> question => moment it was first shown */
    private array $firstShown = [];

    /** @var array<int, Event> question of a series => the event that showed a later one of it first */
    private array $passed = [];

    /** @var array<int, array<string, string>> question => points by criterion */
    private array $rubricMarks = [];

    /** @var array<string, string> */
    private array $refused = [];

    /** @param  array<string, Event>  $events */
    public function __construct(private readonly Terms $terms, private readonly Clock $clock, array $events)
    {
        foreach ($events as $event) {
            if ($event->position !== null || $event->kind === EventKind::Left) {
                $this->done[] = $event;
            }
        }
        $this->noteRubricMarks();
        usort($this->done, Event::inSequence(...));
        $this->noteShownAndChecked();
    }

    public function at(int $now): State
    {
        $moment = min($now, $this->clock->endedAt ?? $now);
        $responses = $first = $changes = $flagged = $struck = $sureness = [];
        foreach ($this->done as $event) {
            $position = $event->position;
            if ($position === null || in_array($event->kind, [EventKind::Shown, EventKind::Checked], true)) {
                continue;
            }
            $why = $this->whyRefused($event, $position);
            if ($why !== null) {
                $this->refused[$event->id] = $why;

                continue;
            }
            match ($event->kind) {
                EventKind::Answered => $this->answer($event, $position, $responses, $first, $changes),
                EventKind::Flagged => $flagged[$position] = $event->value === true,
                EventKind::Struck => $struck[$position] = is_array($event->value) ? array_values(array_filter($event->value, is_string(...))) : [],
                EventKind::Sureness => $sureness[$position] = is_string($event->value) ? Sureness::tryFrom($event->value) : null,
                default => null,
            };
        }
        [$times, $current] = $this->screenTimes($moment);

        $questions = [];
        foreach (array_keys($this->terms->items) as $i) {
            $questions[] = new QuestionState(
                $responses[$i] ?? null, $first[$i] ?? null, $changes[$i] ?? 0, $flagged[$i] ?? false, $struck[$i] ?? [],
                $sureness[$i] ?? null, isset($this->firstShown[$i]), isset($this->checks[$i]), $this->isLocked($i, $moment), $times[$i] ?? 0, $this->rubricMarks[$i] ?? null,
            );
        }

        return $this->state($questions, $current, $moment);
    }

    /**
     * @param  array<int, array<mixed>|null>  $responses
     * @param  array<int, array<mixed>>  $first
     * @param  array<int, int>  $changes
     */
    private function answer(Event $event, int $position, array &$responses, array &$first, array &$changes): void
    {
        $response = is_array($event->value) && $event->value !== [] ? $event->value : null;
        if (isset($first[$position]) && $response !== ($responses[$position] ?? null)) {
            $changes[$position] = ($changes[$position] ?? 0) + 1;
        }
        if ($response !== null) {
            $first[$position] ??= $response;
        }
        $responses[$position] = $response;
    }

    /** @param  list<QuestionState>  $questions */
    private function state(array $questions, ?int $current, int $moment): State
    {
        $clock = $this->clock;
        $ended = $clock->endedAt !== null && $moment >= $clock->endedAt;
        $active = $clock->startedAt === null ? 0 : $clock->active->upTo($moment);
        $section = $clock->sectionAt($active);
        $status = match (true) {
            $clock->startedAt === null => Status::NotStarted,
            $ended => Status::HandedIn,
            $this->isOpen($clock->pauses, $moment) => Status::Paused,
            $this->isOpen($clock->breaks, $moment) => Status::OnBreak,
            default => Status::Active,
        };
        $limits = array_filter([$clock->limit, $clock->sections[$section][1] ?? null, $this->turnEnd($active)], is_int(...));
        $nearest = $limits === [] ? null : min($limits);
        $remaining = $nearest === null || $ended ? null : max(0, $nearest - $active);
        $deadline = $nearest === null || $status !== Status::Active && $status !== Status::OnBreak ? null : $clock->active->momentOf($nearest);

        return new State($status, $questions, $clock->startedAt, $ended ? $clock->endedAt : null, $ended && $clock->byClock, $this->currentByTurn($active) ?? $current, $section, $active, $deadline, $remaining, $this->refused);
    }

    /** Marking one's own written answer comes after the answer is shown, so no clock has a say in it: the latest counts. */
    private function noteRubricMarks(): void
    {
        $marks = array_filter($this->done, static fn (Event $event): bool => $event->kind === EventKind::RubricMarked);
        usort($marks, Event::inReceipt(...));
        foreach ($marks as $event) {
            $points = [];
            foreach (is_array($event->value) ? $event->value : [] as $criterion => $given) {
                $points[(string) $criterion] = is_scalar($given) ? (string) $given : '0';
            }
            $this->rubricMarks[(int) $event->position] = $points;
        }
        $this->done = array_values(array_filter($this->done, static fn (Event $event): bool => $event->kind !== EventKind::RubricMarked));
    }

    private function noteShownAndChecked(): void
    {
        foreach ($this->done as $event) {
            $position = $event->position;
            if ($position === null || ! isset($this->terms->items[$position])) {
                continue;
            }
            if ($event->kind === EventKind::Checked && $this->terms->mode === Mode::Tutor && $this->inSitting($event)) {
                $known = $this->checks[$position] ?? null;
                $this->checks[$position] = $known === null || Event::inReceipt($event, $known) < 0 ? $event : $known;
            }
            if ($event->kind === EventKind::Shown && $this->inSitting($event)) {
                $this->firstShown[$position] = min($this->firstShown[$position] ?? PHP_INT_MAX, $event->doneAt());
                $this->passSeries($event, $position);
            }
        }
    }

    /** Showing a question of a series closes the earlier ones of it. Events come in order of doing. */
    private function passSeries(Event $event, int $position): void
    {
        $series = $this->terms->items[$position]->series;
        for ($i = $position - 1; $series !== null && $i >= 0 && $this->terms->items[$i]->series === $series; $i--) {
            $this->passed[$i] ??= $event;
        }
    }

    private function inSitting(Event $event): bool
    {
        if ($this->clock->startedAt === null || $event->at < $this->clock->startedAt) {
            return false;
        }
        if ($this->clock->endedAt === null) {
            return true;
        }

        return $this->clock->byClock ? Clock::madeBy($event, $this->clock->endedAt) : $event->at <= $this->clock->endedAt;
    }

    private function whyRefused(Event $event, int $position): ?string
    {
        if (! isset($this->terms->items[$position])) {
            return 'The test has no such question.';
        }
        if (! $this->inSitting($event)) {
            return 'The sitting had ended.';
        }
        if ($event->kind === EventKind::Flagged) {
            return null;
        }
        $check = $this->checks[$position] ?? null;
        if ($check !== null && Event::inReceipt($event, $check) > 0) {
            return 'The answer had been shown.';
        }
        $passed = $this->passed[$position] ?? null;
        if ($passed !== null && Event::inSequence($event, $passed) > 0) {
            return 'There is no going back in a series.';
        }
        foreach ($this->clock->breaks as [$from, $to]) {
            if (($this->firstShown[$position] ?? PHP_INT_MAX) <= $from && ! Clock::madeBy($event, $from)) {
                return 'The question was seen before a break.';
            }
            if ($event->doneAt() > $from && ($to === null || $event->doneAt() < $to)) {
                return 'The sitting was on a break.';
            }
        }

        return $this->whyOutOfTime($event, $position);
    }

    private function whyOutOfTime(Event $event, int $position): ?string
    {
        $done = $this->clock->active->upTo($event->doneAt());
        $section = $this->terms->items[$position]->section;
        if ($this->clock->sections !== []) {
            [$from, $to] = $this->clock->sections[$section] ?? [PHP_INT_MAX, null];
            if ($done < $from || ! $this->madeByActive($event, $to)) {
                return 'The section was not open.';
            }
        }
        if ($this->clock->questions !== []) {
            [$from, $to] = $this->clock->questions[$position];
            if ($done < $from || ! $this->madeByActive($event, $to)) {
                return 'The time for the question was up.';
            }
        }

        return null;
    }

    private function madeByActive(Event $event, ?int $active): bool
    {
        $moment = $active === null ? null : $this->clock->active->momentOf($active);

        return $moment === null || Clock::madeBy($event, $moment);
    }

    private function isLocked(int $position, int $moment): bool
    {
        $active = $this->clock->startedAt === null ? 0 : $this->clock->active->upTo($moment);
        $section = $this->clock->sections === [] ? null : ($this->clock->sections[$this->terms->items[$position]->section] ?? [PHP_INT_MAX, null]);
        $turn = $this->clock->questions[$position] ?? null;
        $broken = false;
        foreach ($this->clock->breaks as [$from]) {
            $broken = $broken || ($this->firstShown[$position] ?? PHP_INT_MAX) <= $from;
        }

        return isset($this->checks[$position]) || isset($this->passed[$position]) || $broken
            || ($section !== null && ($active < $section[0] || ($section[1] !== null && $active >= $section[1])))
            || ($turn !== null && ($active < $turn[0] || ($turn[1] !== null && $active >= $turn[1])));
    }

    /**
     * @return array{array<int, int>, int|null} question => active milliseconds on screen; the question on screen
     */
    private function screenTimes(int $moment): array
    {
        $spells = array_values(array_filter($this->done, fn (Event $event): bool => in_array($event->kind, [EventKind::Shown, EventKind::Left], true)
            && ($event->position === null || isset($this->terms->items[$event->position])) && $this->inSitting($event)));
        usort($spells, static fn (Event $a, Event $b): int => $a->doneAt() <=> $b->doneAt() ?: Event::inSequence($a, $b));
        $times = [];
        $current = null;
        foreach ($spells as $i => $event) {
            if ($event->kind === EventKind::Left || $event->position === null) {
                continue;
            }
            $current = $event->position;
            $until = min(($spells[$i + 1] ?? null)?->doneAt() ?? $moment, $moment);
            $times[$current] = ($times[$current] ?? 0) + max(0, $this->clock->active->upTo($until) - $this->clock->active->upTo($event->doneAt()));
        }

        return [$times, $current];
    }

    private function turnEnd(int $active): ?int
    {
        $turn = $this->currentByTurn($active);

        return $turn === null ? null : $this->clock->questions[$turn][1];
    }

    /** With a limit a question, whose turn it is. */
    private function currentByTurn(int $active): ?int
    {
        foreach ($this->clock->questions as $i => [$from, $to]) {
            if ($active >= $from && ($to === null || $active < $to)) {
                return $i;
            }
        }

        return null;
    }

    /** @param  list<array{int, int|null}>  $spells */
    private function isOpen(array $spells, int $moment): bool
    {
        foreach ($spells as [$from, $to]) {
            if ($moment >= $from && ($to === null || $moment < $to)) {
                return true;
            }
        }

        return false;
    }
}
