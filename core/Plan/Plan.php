<?php

declare(strict_types=1);

namespace Uplandia\Core\Plan;

use Brick\Math\BigRational;
use Uplandia\Core\Assembly\Allocation;
use Uplandia\Core\Plan\Internal\Supply;

/**
 * The weeks up to an exam: due revisits first, then a rehearsal in each of the last three, then of the rest half new
 * questions and half where most is at stake, no more than there is; hours that are left over are told. The same state
 * gives the same plan; it is made anew from what is, so what was not done is spread over what is left.
 * Source: computation.md, section 14.
 */
final readonly class Plan
{
    /** One rehearsal in each of the last so many weeks. */
    private const REHEARSED = 3;

    /** No rehearsal in the last so many days before the exam. */
    private const REST = 2;

    /** All should be seen so many days before the exam. */
    private const SEEN_BEFORE = 14;

    /**
     * @param  list<Week>  $weeks  in order; none: the exam is today or over
     * @param  list<int>  $leftOut  questions that are never met, by topic
     * @param  int  $leftOutRevisits  that there is no time for
     * @param  int  $leftOutRehearsals  of those that should be, for which there is no time
     * @param  int  $missingMs  that it would take besides; 0: it fits
     */
    private function __construct(
        public array $weeks,
        public array $leftOut,
        public int $leftOutRevisits,
        public int $leftOutRehearsals,
        public int $missingMs,
    ) {
    }

    /**
     * @param  list<Topic>  $topics
     * @param  array<int, int>  $due  revisits by the day on which they are due, the day before the exam at the latest
     * @param  Rehearsal|null  $rehearsal  null: nobody has said how the exam is made up
     * @param  bool  $rehearsed  whether that was done this week already
     */
    public static function of(
        int $today,
        int $examDay,
        Hours $hours,
        array $topics,
        array $due,
        ?Rehearsal $rehearsal,
        bool $rehearsed = false,
    ): self {
        $spans = self::spans($today, $examDay);
        if ($spans === []) {
            // There is no time left in which anything could be missing.
            return new self(
                weeks: [],
                leftOut: array_fill(0, count($topics), 0),
                leftOutRevisits: 0,
                leftOutRehearsals: 0,
                missingMs: 0,
            );
        }
        $unseen = array_map(static fn (Topic $topic): int => $topic->unseen, $topics);
        $rehearsals = $rehearsal === null ? [] : self::rehearsals($spans, $examDay, $hours);
        if ($rehearsed) {
            unset($rehearsals[0]);
        }
        $supply = new Supply($topics, array_column($spans, 1));
        $weeks = [];
        $waiting = $left = 0;
        foreach ($spans as $i => [$from, $to]) {
            $days = $hours->days($from, $to);
            $room = $ms = (int) round(count($days) * $hours->dayMs());
            foreach ($due as $day => $n) {
                // What is overdue counts from today on.
                $waiting += ($day >= $from || $i === 0) && $day <= $to ? $n : 0;
            }
            $revisits = min($waiting, intdiv($room, $hours->questionMs));
            $waiting -= $revisits;
            $room -= $revisits * $hours->questionMs;
            $day = $rehearsals[$i] ?? null;
            if ($rehearsal !== null && $day !== null) {
                $fits = $rehearsal->ms <= $room;
                $left += $fits ? 0 : 1;
                $day = $fits ? $day : null;
                $room -= $fits ? $rehearsal->ms : 0;
            }
            $questions = intdiv($room, $hours->questionMs);
            $pace = self::pace(
                unseen: $unseen,
                spans: array_slice($spans, $i),
                examDay: $examDay,
                hours: $hours,
            );
            $new = self::new($topics, $unseen, min(intdiv($questions + 1, 2), $pace));
            $weak = self::weak($topics, $supply->in($i), $questions - array_sum($new));
            // Where there is too little to work on, its half goes to what must be met anyway.
            $new = self::new($topics, $unseen, min($questions - array_sum($weak), $pace));
            $unseen = self::less($unseen, $new);
            $supply->spend($i, $weak, $new);
            $weeks[] = new Week(
                from: $from,
                to: $to,
                days: $days,
                ms: $ms,
                plannedMs: ($revisits + array_sum($new) + array_sum($weak)) * $hours->questionMs
                    + ($day === null ? 0 : $rehearsal->ms ?? 0),
                revisits: $revisits,
                new: $new,
                weak: $weak,
                rehearsal: $day,
            );
        }
        // What a later week has no room for is met earlier, where hours are left over, as late as may be.
        foreach (array_reverse($weeks, preserve_keys: true) as $i => $week) {
            $more = self::new($topics, $unseen, intdiv($week->spareMs(), $hours->questionMs));
            $unseen = self::less($unseen, $more);
            $weeks[$i] = $week->meeting($more, $hours->questionMs);
        }

        return new self(
            weeks: array_values($weeks),
            leftOut: $unseen,
            leftOutRevisits: $waiting,
            leftOutRehearsals: $left,
            missingMs: (array_sum($unseen) + $waiting) * $hours->questionMs + $left * ($rehearsal->ms ?? 0),
        );
    }

    public function fits(): bool
    {
        return $this->missingMs === 0;
    }

    /**
     * Weeks from Monday to Sunday, the first from today, the last up to the day before the exam.
     *
     * @return list<array{int, int}> first and last day
     */
    private static function spans(int $today, int $examDay): array
    {
        $spans = [];
        for ($from = $today; $from < $examDay; $from = Hours::monday($from) + 7) {
            $spans[] = [$from, min(Hours::monday($from) + 6, $examDay - 1)];
        }

        return $spans;
    }

    /**
     * On which day of which week there is a rehearsal: the last one on which one studies, but none in the last days.
     *
     * @param  list<array{int, int}>  $spans
     * @return array<int, int> by week, those of the last three
     */
    private static function rehearsals(array $spans, int $examDay, Hours $hours): array
    {
        $days = [];
        foreach ($spans as $i => [$from, $to]) {
            $of = $hours->days($from, min($to, $examDay - 1 - self::REST));
            if ($of !== []) {
                $days[$i] = $of[count($of) - 1];
            }
        }

        return array_slice($days, -self::REHEARSED, preserve_keys: true);
    }

    /**
     * How many new questions this week must bring so that all are seen in time, spread over the days there are; where
     * that time is over, all.
     *
     * @param  list<int>  $unseen
     * @param  list<array{int, int}>  $spans  this week and those after it
     */
    private static function pace(array $unseen, array $spans, int $examDay, Hours $hours): int
    {
        $last = $examDay - 1 - self::SEEN_BEFORE;
        $here = $all = 0;
        foreach ($spans as $i => [$from, $to]) {
            $days = count($hours->days($from, min($to, $last)));
            $all += $days;
            $here += $i === 0 ? $days : 0;
        }

        return $all === 0 ? array_sum($unseen) : (int) ceil(array_sum($unseen) * $here / $all);
    }

    /**
     * @param  list<Topic>  $topics
     * @param  list<int>  $unseen
     * @return list<int> by topic
     */
    private static function new(array $topics, array $unseen, int $n): array
    {
        return Allocation::of(
            $n,
            array_map(static fn (Topic $topic): string => $topic->weight, $topics),
            $unseen,
        )->counts;
    }

    /**
     * By points at stake; where none is known, by weight. No more of a topic than there is to work on.
     *
     * @param  list<Topic>  $topics
     * @param  list<int>  $there  by topic
     * @return list<int> by topic
     */
    private static function weak(array $topics, array $there, int $n): array
    {
        $known = array_sum(array_map(static fn (Topic $topic): float => $topic->stake, $topics)) > 0;

        return Allocation::of(
            $n,
            array_map(
                // Hundredths of a point: an allocation is exact, a stake is not.
                static fn (Topic $topic): string => $known
                    ? (string) BigRational::of((int) round(100 * $topic->stake))
                    : $topic->weight,
                $topics,
            ),
            $there,
        )->counts;
    }

    /**
     * @param  list<int>  $of
     * @param  list<int>  $counts
     * @return list<int>
     */
    private static function less(array $of, array $counts): array
    {
        return array_map(static fn (int $all, int $n): int => $all - $n, $of, $counts);
    }
}
