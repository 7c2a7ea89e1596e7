<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

/**
 * How many questions each topic gives when units are taken whole: the exact total wherever some choice makes it, and
 * each
 * topic as near to its allocation as whole units allow. Source: computation.md, section 3.
 *
 * Example: units of 2, 2 and 3 in one topic and 4 wanted → 4 (2 + 2); 6 wanted → cannot be made, the nearest are 5 and
 * 7.
 */
final readonly class Composition
{
    /** Topics first try to stay this near to their allocation; only where that fails, further away. */
    private const NEAR = 8;

    /**
     * @param  list<int>|null  $counts  questions of each topic; null: the total cannot be made
     * @param  int  $available  questions in all
     * @param  int|null  $below  the largest count under what was wanted that can be made; null: it can be made itself,
     *   or none
     * @param  int|null  $above  the smallest count over it
     */
    private function __construct(
        public ?array $counts,
        public int $available,
        public ?int $below,
        public ?int $above,
    ) {
    }

    /**
     * @param  int  $n  questions wanted
     * @param  list<Supply>  $supplies  by topic
     * @param  list<int|string>  $weights  of the topics, exact
     *
     * @throws InvalidRecipe
     */
    public static function of(int $n, array $supplies, array $weights): self
    {
        $available = array_sum(array_column($supplies, 'total'));
        $totals = array_column($supplies, 'total');
        $allocation = Allocation::of(min($n, $available), $weights, $totals)->counts;
        // A topic of weight nothing still helps out where the others cannot make the count.
        $counts = $n <= $available ? self::fitted($n, $supplies, $allocation) : null;
        if ($counts !== null) {
            return new self(counts: $counts, available: $available, below: null, above: null);
        }

        return new self(null, $available, ...self::nearest($n, $supplies));
    }

    /**
     * The least total distance from the allocation; among equals, the earlier topics keep theirs.
     *
     * @param  list<Supply>  $supplies
     * @param  list<int>  $allocation
     * @return list<int>|null
     */
    private static function fitted(int $n, array $supplies, array $allocation): ?array
    {
        $fits = true;
        foreach ($supplies as $topic => $supply) {
            $fits = $fits && $supply->makes($allocation[$topic]);
        }
        if ($fits && array_sum($allocation) === $n) {
            return $allocation;
        }
        $can = array_map(static fn (Supply $supply): array => $supply->sums(min($n, $supply->total)), $supplies);
        $shift = abs($n - array_sum($allocation));
        for ($reach = self::NEAR; ;) {
            $counts = self::within(reach: $reach, n: $n, can: $can, allocation: $allocation);
            if ($counts === null) {
                if ($reach > $n) {
                    return null;
                }
                $reach *= 4;

                continue;
            }
            $far = array_sum(array_map(static fn (int $one, int $of): int => abs($one - $of), $counts, $allocation));
            // What is as near in all may take one topic so far at the most: half of it goes up and half of it down.
            $most = intdiv($far + $shift, 2);
            if ($most <= $reach) {
                return $counts;
            }
            $reach = $most;
        }
    }

    /**
     * Dynamic programming over topics: the least distance with which the topics so far make each total.
     *
     * @param  list<list<bool>>  $can  topic => count => whether it can be made
     * @param  list<int>  $allocation
     * @return list<int>|null
     */
    private static function within(int $reach, int $n, array $can, array $allocation): ?array
    {
        $least = [0 => 0];
        $steps = [];
        foreach ($can as $topic => $sums) {
            $next = $step = [];
            $from = max(0, $allocation[$topic] - $reach);
            $to = min(count($sums) - 1, $allocation[$topic] + $reach);
            foreach ($least as $total => $distance) {
                for ($count = $from; $count <= $to && $total + $count <= $n; $count++) {
                    $far = $distance + abs($count - $allocation[$topic]);
                    if ($sums[$count] && $far < ($next[$total + $count] ?? PHP_INT_MAX)) {
                        $next[$total + $count] = $far;
                        $step[$total + $count] = $count;
                    }
                }
            }
            $least = $next;
            $steps[] = $step;
        }
        if (! isset($least[$n])) {
            return null;
        }
        $counts = [];
        foreach (array_reverse($steps) as $step) {
            $counts[] = $step[$n];
            $n -= $step[$n];
        }

        return array_reverse($counts);
    }

    /**
     * @param  list<Supply>  $supplies
     * @return array{int|null, int|null} below, above
     */
    private static function nearest(int $n, array $supplies): array
    {
        $all = Supply::together($supplies);
        $sums = array_keys(array_filter($all->sums(min($all->total, $n + Recipe::MOST_QUESTIONS))));
        $below = array_filter($sums, static fn (int $sum): bool => $sum > 0 && $sum < $n);
        $above = array_filter($sums, static fn (int $sum): bool => $sum > $n);

        return [$below === [] ? null : max($below), $above === [] ? null : min($above)];
    }
}
