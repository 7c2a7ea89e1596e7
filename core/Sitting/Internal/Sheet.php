<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting\Internal;

use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Fold;
use Uplandia\Core\Sitting\QuestionState;
use Uplandia\Core\Sitting\State;
use Uplandia\Core\Sitting\Status;
use Uplandia\Core\Sitting\Sureness;
use Uplandia\Core\Sitting\Terms;

/** What was done to each question, and which of it counts. Events come in the order of receipt. */
final class Sheet
{
    /** What can be done to a question before answering begins. */
    private const WHILE_READING = [EventKind::Flagged, EventKind::Struck];

    /** @var array<int, Entry> by question, those of which anything is known */
    private array $entries = [];

    /** @var array<string, string> event id => why it does not count */
    private array $refused = [];

    /** The question on screen, and since when. */
    private ?int $current = null;

    private bool $onScreen = false;

    private int $since = 0;

    private Terms $terms;

    private Clock $clock;

    public function bind(Terms $terms, Clock $clock): void
    {
        $this->terms = $terms;
        $this->clock = $clock;
    }

    /** The same sheet, seen by another clock. */
    public function beside(Clock $clock): self
    {
        $sheet = clone $this;
        $sheet->clock = $clock;

        return $sheet;
    }

    /** Whether an answer comes after all that a snapshot kept of its question. */
    public function follows(Event $answer): bool
    {
        return ($this->entries[$answer->position ?? -1] ?? null)?->follows($answer->seq) ?? true;
    }

    /** @return list<string> what a snapshot keeps: not terms and clock, and not why something did not count */
    public function __sleep(): array
    {
        return ['entries', 'current', 'onScreen', 'since'];
    }

    public function take(Event $event): void
    {
        $why = match (true) {
            $event->kind === EventKind::RubricMarked => $this->markByRubric($event),
            // Gone for good or only out of sight: nothing is on screen.
            $event->kind === EventKind::Left, $event->kind === EventKind::Hidden => $this->leave($event),
            $event->kind === EventKind::Shown => $this->show($event),
            $event->kind->needsPosition() => $this->record($event),
            default => $this->clockwork($event),
        };
        if ($why !== null) {
            $this->refused[$event->id] = $why;
        }
    }

    public function at(int $now): State
    {
        $clock = $this->clock;
        $moment = min($now, $clock->endedAt ?? $now);
        $questions = [];
        foreach (array_keys($this->terms->items) as $position) {
            $questions[] = $this->question($position, $moment);
        }
        $nearest = $clock->nearest();
        $ended = $clock->endedAt !== null;
        $active = $clock->activeUpTo($moment);

        return new State(
            status: $this->status($moment),
            questions: $questions,
            startedAt: $clock->startedAt,
            endedAt: $clock->endedAt,
            byClock: $clock->byClock,
            current: $this->terms->questionLimit !== null && $clock->startedAt !== null
                ? $clock->turn
                : $this->current,
            section: $clock->section,
            activeMs: $active,
            deadline: $ended ? null : $clock->deadline(),
            remainingMs: $nearest === null || $ended ? null : max(0, $nearest - $active),
            refused: $this->refused,
            breaksLeft: $this->terms->breaks - count($clock->breaks),
            readingUntil: $clock->readingUntil($moment),
            sectionEnds: $this->terms->sectionsInTurn() ? $clock->sectionEnds : [],
            waited: $clock->waited(),
        );
    }

    private function status(int $moment): Status
    {
        return match (true) {
            $this->clock->startedAt === null => Status::NotStarted,
            $this->clock->endedAt !== null => Status::HandedIn,
            $this->clock->isReading($moment) => Status::Reading,
            $this->clock->isPaused() => Status::Paused,
            $this->clock->isOnBreak() => Status::OnBreak,
            default => Status::Active,
        };
    }

    private function question(int $position, int $moment): QuestionState
    {
        $entry = $this->entries[$position] ?? new Entry();
        $shown = $this->onScreen && $position === $this->current ? $this->spell($position, $moment) : 0;
        $over = $this->clock->closedAt($position);

        return new QuestionState(
            response: $entry->counted(),
            firstResponse: $entry->firstResponse(),
            changes: $entry->changes(),
            flagged: $entry->flagged,
            struck: $entry->struckThen ?? $entry->struck,
            sureness: $entry->sureness,
            seen: $entry->seen,
            checkedAt: $entry->checkedAt,
            locked: $entry->checkedAt !== null || $entry->lock !== null || $this->whyNotItsTime($position) !== null,
            activeMs: $entry->activeMs + $shown,
            rubricMarks: $entry->rubricMarks,
            tries: $entry->tries(),
            latest: $entry->response(),
            ruledOut: $entry->struck,
            answeredAt: $entry->answeredAt(),
            closed: $entry->lock !== null || ($over !== null && $over !== $this->clock->endedAt),
        );
    }

    private function clockwork(Event $event): ?string
    {
        if ($event->kind === EventKind::BreakBegan) {
            if (! $this->isTimeForBreak()) {
                return 'The break comes later: after all questions of the section before it have been seen.';
            }
            $breaks = count($this->clock->breaks);
            $why = $this->clock->take($event);
            if (count($this->clock->breaks) > $breaks) {
                foreach ($this->entries as $entry) {
                    $entry->lock ??= $entry->seen ? new Lock($event, 'The question was seen before a break.') : null;
                }
            }

            return $why;
        }

        return $this->clock->take($event);
    }

    private function isTimeForBreak(): bool
    {
        $last = $this->terms->breakFrom();
        $before = $last === null ? [] : range(0, $last);
        $seen = array_filter($before, fn (int $position): bool => $this->entries[$position]->seen ?? false);

        return $seen === $before;
    }

    /**
     * Marking one's own written answer comes after the answer is shown, so no clock has a say in it: the latest
     * counts.
     */
    private function markByRubric(Event $event): ?string
    {
        if (! isset($this->terms->items[$event->position ?? -1])) {
            return 'The test has no such question.';
        }
        $points = [];
        foreach (is_array($event->value) ? $event->value : [] as $criterion => $given) {
            $points[(string) $criterion] = is_scalar($given) ? (string) $given : '0';
        }
        $this->entry((int) $event->position)->rubricMarks = $points;

        return null;
    }

    private function leave(Event $event): null
    {
        $this->moveScreen($event);
        $this->onScreen = false;

        return null;
    }

    private function show(Event $event): ?string
    {
        $position = (int) $event->position;
        if (! isset($this->terms->items[$position])) {
            return 'The test has no such question.';
        }
        // After the end nothing changes what came before; paused or on a break, nothing is on screen.
        if ($this->clock->startedAt === null || $this->clock->endedAt !== null || $this->isInASpell($event)) {
            return null;
        }
        $this->moveScreen($event);
        $this->current = $position;
        $this->onScreen = true;
        $this->clock->showTurn($position, $event->at);
        $this->see($event, $position);

        return null;
    }

    private function record(Event $event): ?string
    {
        $position = (int) $event->position;
        $why = isset($this->terms->items[$position])
            ? $this->whyRefused($event, $position)
            : 'The test has no such question.';
        if ($why !== null) {
            return $why;
        }
        $entry = $this->entry($position);
        if ($event->kind === EventKind::Tried) {
            return $this->terms->mode === Mode::Tutor ? $entry->try() : 'Only a tutor tells before the end.';
        }
        if ($event->kind === EventKind::Sureness && $entry->tries() !== []) {
            return 'The first try counts, and how sure one was of it.';
        }
        match ($event->kind) {
            EventKind::Answered => $entry->answer(
                seq: $event->seq,
                at: max((int) $this->clock->startedAt, $event->doneAt()),
                value: $event->value,
            ),
            EventKind::Checked => ($entry->checkedAt ??= $this->terms->mode->checks() ? $event->at : null),
            default => $this->note($entry, $event),
        };
        if ($event->kind === EventKind::Answered) {
            $this->see($event, $position);
        }

        return null;
    }

    private function note(Entry $entry, Event $event): void
    {
        if (! $entry->isLatest($event->kind->value, $event->seq)) {
            return;
        }
        match ($event->kind) {
            EventKind::Flagged => ($entry->flagged = $event->value === true),
            EventKind::Struck => ($entry->struck = is_array($event->value)
                ? array_values(array_filter($event->value, is_string(...)))
                : []),
            EventKind::Sureness => ($entry->sureness = is_string($event->value)
                ? Sureness::tryFrom($event->value)
                : null),
            default => null,
        };
    }

    /** Seeing a question of a series closes the earlier ones of it, once they could have been answered. */
    private function see(Event $event, int $position): void
    {
        $this->entry($position)->seen = true;
        if ($this->clock->isReading($event->doneAt())) {
            return;
        }
        $series = $this->terms->items[$position]->series;
        for ($i = $position - 1; $series !== null && $i >= 0 && $this->terms->items[$i]->series === $series; $i--) {
            $this->entry($i)->lock ??= new Lock($event, 'There is no going back.');
        }
    }

    private function whyRefused(Event $event, int $position): ?string
    {
        if ($this->clock->startedAt === null) {
            return 'The sitting had not begun.';
        }
        if (! $this->clock->hears($event)) {
            return 'The sitting had ended.';
        }
        if ($this->clock->isReading($event->at) && ! in_array($event->kind, self::WHILE_READING, true)) {
            return 'Answering begins when reading is over.';
        }
        $spell = $this->whyInASpell($event);
        if ($spell !== null || $event->kind === EventKind::Flagged) {
            return $spell;
        }
        $entry = $this->entries[$position] ?? null;
        if ($entry?->checkedAt !== null) {
            // The key was sent with it, so there is no grace.
            return 'The answer had been shown.';
        }
        if ($entry?->lock?->holdsAgainst($event) === true) {
            return $entry->lock->why;
        }

        return $this->whyNotItsTime($position, $event);
    }

    /** @param  Event|null  $event  one that may have been made before a limit; null: something done now */
    private function whyNotItsTime(int $position, ?Event $event = null): ?string
    {
        $clock = $this->clock;
        if ($this->terms->sectionsInTurn()) {
            $section = $this->terms->items[$position]->section;
            $ended = $clock->sectionEnds[$section] ?? null;
            if (
                $section > $clock->section ||
                ($ended !== null && ! ($event !== null && $clock->hearsUpTo($ended, $event)))
            ) {
                return 'The section was not open.';
            }
        }
        if ($this->terms->questionLimit !== null) {
            $ended = $clock->turnEnds[$position] ?? null;
            if ($position > $clock->turn || ($ended !== null && ! ($event !== null && self::madeBy($event, $ended)))) {
                return 'The time for the question was up.';
            }
        }

        return null;
    }

    private function isInASpell(Event $event): bool
    {
        return $this->whyInASpell($event) !== null;
    }

    private function whyInASpell(Event $event): ?string
    {
        foreach ($this->clock->pauses as $pause) {
            if ($pause->holds($event)) {
                return 'The sitting was paused.';
            }
        }
        foreach ($this->clock->breaks as $break) {
            if ($break->holds($event)) {
                return 'The sitting was on a break.';
            }
        }

        return null;
    }

    /** Whether something was done by a moment and has arrived in time to count. */
    private static function madeBy(Event $event, int $moment): bool
    {
        return $event->doneAt() <= $moment && $event->at <= $moment + Fold::GRACE_MS;
    }

    /**
     * What was on screen until now has had its time. The browser's word on when can only lie between what is known.
     */
    private function moveScreen(Event $event): void
    {
        $moment = max($this->since, min($event->doneAt(), $event->at));
        if ($this->onScreen && $this->current !== null) {
            $this->entry($this->current)->activeMs += $this->spell($this->current, $moment);
        }
        $this->since = $moment;
    }

    /** Time that a question has been on screen since it was shown last. */
    private function spell(int $position, int $until): int
    {
        $until = min($until, $this->clock->closedAt($position) ?? $until);

        return max(0, $this->clock->onScreenUpTo($until) - $this->clock->onScreenUpTo($this->since));
    }

    private function entry(int $position): Entry
    {
        return $this->entries[$position] ??= new Entry();
    }
}
