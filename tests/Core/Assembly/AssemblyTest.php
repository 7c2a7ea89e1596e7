<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Uplandia\Core\Assembly\Allocation;
use Uplandia\Core\Assembly\Draw;
use Uplandia\Core\Assembly\InvalidRecipe;
use Uplandia\Core\Assembly\OptionOrder;
use Uplandia\Core\Assembly\Seed;
use Uplandia\Core\Assembly\Shortfall;
use Uplandia\Core\Assembly\Unit;

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
                self::assertLessThan(1, abs($count - $n * $weights[$i] / array_sum($weights)));
            }
        }
    }

    public function test_the_same_seed_and_pool_give_the_same_draw_without_repeats(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(12));
        for ($round = 0; $round < 200; $round++) {
            $pool = [];
            $id = 0;
            foreach (range(1, $chance->getInt(1, 60)) as $_) {
                $size = $chance->getInt(1, 4);
                $pool[] = new Unit(range($id + 1, $id + $size), $chance->getInt(0, 2) ? null : $chance->getInt(1, 5));
                $id += $size;
            }
            $n = $chance->getInt(0, $id + 5);
            $take = fn (string $seed): array => array_merge([], ...array_map(fn (Unit $unit): array => $unit->questions, (new Draw((new Seed($seed))->stream('draw')))->take($pool, $n)));
            $drawn = $take("seed {$round}");
            self::assertSame($drawn, $take("seed {$round}"));
            self::assertSame($drawn, array_unique($drawn));
            self::assertLessThanOrEqual($n, count($drawn));
            self::assertSame($n >= $id ? $id : count($drawn), count($drawn));
        }
    }

    public function test_new_questions_come_before_those_seen_longest_ago(): void
    {
        $pool = [new Unit([1], 300), new Unit([2]), new Unit([3], 100), new Unit([4]), new Unit([5], 200)];
        $drawn = array_map(fn (Unit $unit): int => $unit->questions[0], (new Draw((new Seed('x'))->stream('draw')))->take($pool, 5));

        self::assertEqualsCanonicalizing([2, 4], array_slice($drawn, 0, 2));
        self::assertSame([3, 5, 1], array_slice($drawn, 2));
    }

    public function test_a_case_is_taken_whole_and_only_where_it_fits(): void
    {
        $case = new Unit([10, 11, 12, 13]);
        foreach (range(1, 40) as $seed) {
            $drawn = (new Draw((new Seed((string) $seed))->stream('draw')))->take([$case, new Unit([1]), new Unit([2]), new Unit([3])], 3);
            self::assertNotContains($case, $drawn);
            self::assertCount(3, $drawn);
        }
    }

    public function test_a_draw_is_uniform(): void
    {
        $times = array_fill(1, 10, 0);
        $pool = array_map(fn (int $id): Unit => new Unit([$id]), range(1, 10));
        for ($i = 0; $i < 5000; $i++) {
            foreach ((new Draw((new Seed("u{$i}"))->stream('draw')))->take($pool, 3) as $unit) {
                $times[$unit->questions[0]]++;
            }
        }
        // Each is expected 1,500 times with a standard deviation of 32.
        foreach ($times as $n) {
            self::assertEqualsWithDelta(1500, $n, 160);
        }
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
        $shortfall = Shortfall::of(['nav' => 10, 'wx' => 5], ['nav' => 4, 'wx' => 9], ['missed' => ['nav' => 25, 'wx' => 9], 'hard' => ['nav' => 6, 'wx' => 12], 'year' => ['nav' => 4, 'wx' => 9]]);

        self::assertSame(6, $shortfall?->short);
        self::assertSame(['nav' => 6], $shortfall->shortByTopic);
        self::assertSame(['missed' => 21, 'hard' => 5], $shortfall->gainByFilter);
        self::assertNull(Shortfall::of(['nav' => 4], ['nav' => 4]));
    }

    public function test_a_negative_weight_or_count_is_refused(): void
    {
        $this->expectException(InvalidRecipe::class);
        Allocation::of(3, [-1, 2], [5, 5]);
    }
}
