<?php

declare(strict_types=1);

namespace Uplandia\Core\Plan\Internal;

use Uplandia\Core\Plan\Met;
use Uplandia\Core\Plan\Topic;

/**
 * What there is to work on where most is at stake, week by week: open gaps and what was not seen for thirty days. No
 * question is worked on twice in seven days, and what comes back by itself in a week is its revisit, not this.
 * Source: computation.md, section 14.
 */
final class Supply
{
    /** An open gap can be worked on again after so many days. */
    private const REST = 7;

    /** Anything else. */
    private const FORGETS = 30;

    /** @var list<array<int, array{gap: bool, ready: int, due: int|null, n: int}>> by topic: from which week on */
    private array $met = [];

    /**
     * @param  list<Topic>  $topics
     * @param  list<int>  $ends  last day of each week
     */
    public function __construct(array $topics, private readonly array $ends)
    {
        foreach ($topics as $t => $topic) {
            $this->met[$t] = [];
            foreach ($topic->met as $met) {
                $this->add($t, $met->n, seen: $met->day, due: $this->week($met->due), gap: $met->gap);
            }
        }
    }

    /** @return list<int> by topic: questions that this week can be worked on */
    public function in(int $week): array
    {
        return array_map(
            static fn (array $met): int => array_sum(array_column(array_filter(
                $met,
                static fn (array $one): bool => self::isThere($one, $week),
            ), 'n')),
            $this->met,
        );
    }

    /**
     * A week is over: some were worked on, some came back, some were met for the first time.
     *
     * @param  list<int>  $weak  by topic
     * @param  list<int>  $new  by topic
     */
    public function spend(int $week, array $weak, array $new): void
    {
        $end = $this->ends[$week];
        foreach ($this->met as $t => $met) {
            // Gaps first, then what was not seen for the longest.
            usort($met, static fn (array $a, array $b): int => [$b['gap'], $a['ready']] <=> [$a['gap'], $b['ready']]);
            $this->met[$t] = [];
            foreach ($met as $one) {
                $taken = self::isThere($one, $week) ? min($weak[$t], $one['n']) : 0;
                $weak[$t] -= $taken;
                $this->add($t, $taken, seen: $end, due: $one['due'], gap: $one['gap']);
                if ($one['due'] === $week) {
                    $this->add($t, $one['n'], seen: $end, gap: $one['gap']);
                } else {
                    $this->keep($t, ['n' => $one['n'] - $taken] + $one);
                }
            }
            $this->add($t, $new[$t], seen: $end);
        }
    }

    /** @param  array{gap: bool, ready: int, due: int|null, n: int}  $one */
    private static function isThere(array $one, int $week): bool
    {
        return $one['ready'] <= $week && ($one['due'] === null || $one['due'] > $week);
    }

    private function add(int $topic, int $n, int $seen, ?int $due = null, bool $gap = false): void
    {
        $ready = $this->week($seen + ($gap ? self::REST : self::FORGETS));
        // What is never ready and never comes back is of no use to a plan.
        if ($ready !== null || $due !== null) {
            $this->keep($topic, ['gap' => $gap, 'ready' => $ready ?? PHP_INT_MAX, 'due' => $due, 'n' => $n]);
        }
    }

    /** @param  array{gap: bool, ready: int, due: int|null, n: int}  $one */
    private function keep(int $topic, array $one): void
    {
        if ($one['n'] === 0) {
            return;
        }
        foreach ($this->met[$topic] as $i => $known) {
            if ([$known['gap'], $known['ready'], $known['due']] === [$one['gap'], $one['ready'], $one['due']]) {
                $this->met[$topic][$i]['n'] += $one['n'];

                return;
            }
        }
        $this->met[$topic][] = $one;
    }

    /** @return int|null the week in which a day lies or that it is before; null: none, or it is after all of them */
    private function week(?int $day): ?int
    {
        foreach ($day === null ? [] : $this->ends as $week => $end) {
            if ($day <= $end) {
                return $week;
            }
        }

        return null;
    }
}
