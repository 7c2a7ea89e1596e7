<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Uplandia\Core\Assembly\Allocation;
use Uplandia\Core\Assembly\Composition;
use Uplandia\Core\Assembly\Draw;
use Uplandia\Core\Assembly\InvalidRecipe;
use Uplandia\Core\Assembly\OptionOrder;
use Uplandia\Core\Assembly\Seed;
use Uplandia\Core\Assembly\Shortfall;
use Uplandia\Core\Assembly\Supply;

final class AssemblyTest extends TestCase
{
    public function test_the_allocations_of_the_worked_examples(): void
    {
        self::assertSame([6, 5, 4, 3, 2], Allocation::of(20, [30, 25, 20, 15, 10], [99, 99, 99, 99, 99])->counts);
        self::assertSame([3, 7, 5, 4, 1], Allocation::of(20, [30, 25, 20, 15, 10], [3, 99, 99, 99, 1])->counts);
        $short = Allocation::of(50, [1, 1, 1], [10, 5, 9]);
        self::assertSame([[10, 5, 9], 26], [$short->counts, $short->short]);
    }

    public function test_ties_go_to_the_earlier_topic_and_weight_nothing_gives_nothing(): void
    {
        self::assertSame([2, 1, 1], Allocation::of(4, [1, 1, 1], [9, 9, 9])->counts);
        self::assertSame([5, 0], Allocation::of(5, ['1/3', 0], [9, 9])->counts);
    }

    public function test_any_allocation_adds_up_keeps_its_caps_and_stays_within_one_of_the_exact_share(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(11));
        for ($round = 0; $round < 500; $round++) {
            $topics = $chance->getInt(1, 12);
            $weights = array_map(fn (): int => $chance->getInt(1, 60), range(1, $topics));
            $available = array_map(fn (): int => $chance->getInt(0, 80), range(1, $topics));
            $n = $chance->getInt(0, 300);
            $allocation = Allocation::of($n, $weights, $available);
            self::assertSame(min($n, array_sum($available)), array_sum($allocation->counts));
            self::assertSame($n - array_sum($allocation->counts), $allocation->short);
            foreach ($allocation->counts as $i => $count) {
                self::assertLessThanOrEqual($available[$i], $count);
            }
            $free = Allocation::of($n, $weights, array_fill(0, $topics, 1000));
            foreach ($free->counts as $i => $count) {
                self::assertLessThan(1, abs($count - ($n * $weights[$i]) / array_sum($weights)));
            }
        }
    }

    /**
     * @return array{list<int>, array<int, int>} sizes, and moments by place: a pool of singles, pairs, sets and cases
     */
    private function randomPool(Randomizer $chance, int $most = 60): array
    {
        $sizes = array_map(
            fn (): int => [1, 1, 2, 3, 4, 8][$chance->getInt(0, 5)],
            range(1, $chance->getInt(1, $most)),
        );
        $seen = [];
        foreach (array_keys($sizes) as $place) {
            if ($chance->getInt(0, 2) === 0) {
                $seen[$place] = $chance->getInt(1, 5);
            }
        }

        return [$sizes, $seen];
    }

    /**
     * @param  list<int>  $sizes
     * @param  array<int, int>  $seen
     * @return list<int>
     */
    private function draw(string $seed, array $sizes, array $seen, int $n): array
    {
        return (new Draw((new Seed($seed))->stream('draw')))->take($sizes, $seen, $n);
    }

    public function test_a_draw_makes_every_count_that_can_be_made_and_no_other(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(12));
        for ($round = 0; $round < 300; $round++) {
            [$sizes, $seen] = $this->randomPool($chance, 12);
            $can = [0 => true];
            foreach ($sizes as $size) {
                foreach (array_keys($can) as $sum) {
                    $can[$sum + $size] = true;
                }
            }
            $n = $chance->getInt(0, array_sum($sizes) + 3);
            $drawn = $this->draw(seed: "seed {$round}", sizes: $sizes, seen: $seen, n: $n);
            self::assertSame($drawn, $this->draw(seed: "seed {$round}", sizes: $sizes, seen: $seen, n: $n));
            self::assertSame($drawn, array_unique($drawn));
            $got = array_sum(array_map(fn (int $place): int => $sizes[$place], $drawn));
            self::assertSame(isset($can[$n]) ? $n : 0, $got, "round {$round}");
            self::assertSame(isset($can[$n]), Supply::ofSizes($sizes)->makes($n));
        }
    }

    public function test_units_of_two_two_and_three_always_make_four(): void
    {
        for ($seed = 0; $seed < 60; $seed++) {
            self::assertEqualsCanonicalizing([0, 1], $this->draw(seed: "{$seed}", sizes: [2, 2, 3], seen: [], n: 4));
        }
    }

    public function test_new_questions_come_before_those_seen_longest_ago(): void
    {
        $drawn = $this->draw(seed: 'x', sizes: [1, 1, 1, 1, 1], seen: [0 => 300, 2 => 100, 4 => 200], n: 5);
        self::assertEqualsCanonicalizing([1, 3], array_slice($drawn, 0, 2));
        self::assertSame([2, 4, 0], array_slice($drawn, 2));
    }

    public function test_those_seen_at_one_moment_come_in_any_order(): void
    {
        $first = [];
        for ($seed = 0; $seed < 40; $seed++) {
            $first[$this->draw(seed: "{$seed}", sizes: [1, 1, 1], seen: [7, 7, 7], n: 1)[0]] = true;
        }
        self::assertCount(3, $first);
    }

    public function test_a_draw_is_uniform(): void
    {
        $times = array_fill(0, 10, 0);
        for ($i = 0; $i < 5000; $i++) {
            foreach ($this->draw(seed: "u{$i}", sizes: array_fill(0, 10, 1), seen: [], n: 3) as $place) {
                $times[$place]++;
            }
        }
        // Each is expected 1,500 times with a standard deviation of 32.
        foreach ($times as $n) {
            self::assertEqualsWithDelta(1500, $n, 160);
        }
    }

    public function test_the_sums_of_whole_units_are_those_of_all_subsets(): void
    {
        $supply = new Supply([2 => 2, 3 => 1]);
        self::assertSame(7, $supply->total);
        self::assertSame([0, 2, 3, 4, 5, 7], array_keys(array_filter($supply->sums(9))));
        self::assertSame([0, 5, 10], array_keys(array_filter((new Supply([5 => 2]))->sums(20))));
        self::assertFalse($supply->makes(-1));
    }

    public function test_a_composition_keeps_to_the_allocation_where_units_allow(): void
    {
        $singles = fn (int $n): Supply => new Supply([1 => $n]);
        self::assertSame([6, 4], Composition::of(10, [$singles(20), $singles(20)], [60, 40])->counts);
        // The first topic has only threes: six can be had, and the other makes up the rest.
        self::assertSame([6, 3], Composition::of(9, [new Supply([3 => 5]), $singles(20)], [50, 50])->counts);
        // Of weight nothing, but needed.
        self::assertSame([5, 1], Composition::of(6, [$singles(5), $singles(9)], [1, 0])->counts);
    }

    /** Units of up to twenty, all ways of making the count tried out. */
    public function test_no_other_choice_of_whole_units_is_nearer_to_the_allocation(): void
    {
        $seed = 20;
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $distance = fn (array $counts, array $allocation): int => array_sum(
            array_map(fn (int $one, int $of): int => abs($one - $of), $counts, $allocation),
        );
        for ($case = 0; $case < 400; $case++) {
            $supplies = array_map(
                fn (): Supply => Supply::ofSizes(
                    array_map(fn (): int => $random->getInt(1, 20), range(1, $random->getInt(1, 4))),
                ),
                range(1, 3),
            );
            $weights = [$random->getInt(0, 5), $random->getInt(1, 9), $random->getInt(0, 9)];
            $totals = array_column($supplies, 'total');
            $n = $random->getInt(1, array_sum($totals));
            $allocation = Allocation::of($n, $weights, $totals)->counts;
            $best = null;
            foreach (array_keys(array_filter($supplies[0]->sums($totals[0]))) as $first) {
                foreach (array_keys(array_filter($supplies[1]->sums($totals[1]))) as $second) {
                    $third = $n - $first - $second;
                    if ($third >= 0 && $supplies[2]->makes($third)) {
                        $far = $distance([$first, $second, $third], $allocation);
                        $best = min($best ?? PHP_INT_MAX, $far);
                    }
                }
            }
            $counts = Composition::of($n, $supplies, $weights)->counts;
            $far = $counts === null ? null : $distance($counts, $allocation);
            self::assertSame($best, $far, "seed {$seed}, case {$case}");
        }
    }

    public function test_what_cannot_be_made_names_the_nearest_counts_that_can(): void
    {
        $short = Composition::of(6, [new Supply([2 => 2, 3 => 1])], [1]);
        self::assertSame([null, 7, 5, 7], [$short->counts, $short->available, $short->below, $short->above]);
        $over = Composition::of(20, [new Supply([2 => 2]), new Supply([3 => 1])], [1, 1]);
        self::assertSame([null, 7, 7, null], [$over->counts, $over->available, $over->below, $over->above]);
        $one = Composition::of(1, [new Supply([2 => 1])], [1]);
        self::assertSame([null, null, 2], [$one->counts, $one->below, $one->above]);
        self::assertSame([null, 0, null, null], array_values((array) Composition::of(3, [], [])));
    }

    public function test_over_topics_the_total_is_exact_wherever_any_choice_makes_it_and_as_near_as_can_be(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(14));
        for ($round = 0; $round < 250; $round++) {
            $supplies = $weights = [];
            foreach (range(1, $chance->getInt(1, 4)) as $_) {
                $supplies[] = Supply::ofSizes($this->randomPool($chance, 5)[0]);
                $weights[] = $chance->getInt(0, 9);
            }
            $all = array_sum(array_column($supplies, 'total'));
            $n = $chance->getInt(1, $all + 2);
            $best = $this->leastDistance(
                $n,
                $supplies,
                Allocation::of(min($n, $all), $weights, array_column($supplies, 'total'))->counts,
            );
            $found = Composition::of($n, $supplies, $weights);
            self::assertSame($best === null, $found->counts === null, "round {$round}");
            if ($found->counts !== null) {
                $allocation = Allocation::of($n, $weights, array_column($supplies, 'total'))->counts;
                self::assertSame($n, array_sum($found->counts));
                self::assertSame(
                    $best,
                    array_sum(array_map(fn (int $a, int $b): int => abs($a - $b), $found->counts, $allocation)),
                );
                foreach ($found->counts as $topic => $count) {
                    self::assertTrue($supplies[$topic]->makes($count));
                }
            }
        }
    }

    /**
     * By trying everything.
     *
     * @param  list<Supply>  $supplies
     * @param  list<int>  $allocation
     */
    private function leastDistance(int $n, array $supplies, array $allocation): ?int
    {
        if ($supplies === []) {
            return $n === 0 ? 0 : null;
        }
        $best = null;
        for ($count = 0; $count <= min($n, $supplies[0]->total); $count++) {
            $rest = $supplies[0]->makes($count)
                ? $this->leastDistance($n - $count, array_slice($supplies, 1), array_slice($allocation, 1))
                : null;
            if ($rest !== null) {
                $best = min($best ?? PHP_INT_MAX, $rest + abs($count - $allocation[0]));
            }
        }

        return $best;
    }

    public function test_pinned_options_keep_their_place(): void
    {
        $orders = [];
        for ($i = 0; $i < 60; $i++) {
            $order = (new OptionOrder((new Seed("s{$i}"))->stream('options:1')))->of(['a', 'b', 'c', 'd'], ['d']);
            self::assertSame('d', $order[3]);
            self::assertEqualsCanonicalizing(['a', 'b', 'c', 'd'], $order);
            $orders[implode($order)] = true;
        }
        self::assertCount(6, $orders);
    }

    public function test_a_shortfall_names_what_is_missing_and_what_dropping_a_filter_would_add(): void
    {
        $shortfall = Shortfall::of(
            ['nav' => 10, 'wx' => 5],
            ['nav' => 4, 'wx' => 9],
            [
                'missed' => ['nav' => 25, 'wx' => 9],
                'hard' => ['nav' => 6, 'wx' => 12],
                'year' => ['nav' => 4, 'wx' => 9],
            ],
        );

        self::assertSame(6, $shortfall?->short);
        self::assertSame(['nav' => 6], $shortfall->shortByTopic);
        self::assertSame(['missed' => 21, 'hard' => 5], $shortfall->gainByFilter);
        self::assertNull(Shortfall::of(['nav' => 4], ['nav' => 4]));
        // A filter that takes nothing away is no way out, and one topic's plenty does not make up for another's want.
        $want = Shortfall::of(['nav' => 3, 'wx' => 3], ['nav' => 1, 'wx' => 9], ['hard' => ['nav' => 1, 'wx' => 4]]);
        self::assertSame([2, []], [$want?->short, $want?->gainByFilter]);
    }

    public function test_a_negative_weight_or_count_is_refused(): void
    {
        $this->expectException(InvalidRecipe::class);
        Allocation::of(3, [-1, 2], [5, 5]);
    }
}
