<?php

declare(strict_types=1);

namespace Tests\Core\Progress;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Uplandia\Core\Progress\Ability;
use Uplandia\Core\Progress\AbilityEstimator;
use Uplandia\Core\Progress\Adaptive;
use Uplandia\Core\Progress\AdaptiveAnswer;
use Uplandia\Core\Progress\AdaptiveEnding;
use Uplandia\Core\Progress\AdaptiveItem;
use Uplandia\Core\Progress\AdaptiveStanding;
use Uplandia\Core\Progress\Item;
use Uplandia\Core\Progress\Mastery;
use Uplandia\Core\Progress\Prior;
use Uplandia\Core\Progress\Response;
use Uplandia\Core\Statistics\Interval;

final class AdaptiveTest extends TestCase
{
    #[TestWith([0.0, 0.0, 0.0, 0.25])]
    #[TestWith([0.0, 0.0, 0.25, 0.15])]
    #[TestWith([1.0, 0.0, 0.0, 0.196612])]
    #[TestWith([0.0, 1.0, 0.25, 0.087796])]
    #[TestWith([-700.0, 0.0, 0.0, 0.0])]
    public function test_information_is_that_of_the_formula(float $theta, float $b, float $c, float $expected): void
    {
        self::assertEqualsWithDelta($expected, (new AdaptiveItem(1, 0, $b, $c))->information($theta), 1e-6);
    }

    #[TestWith([0.6, 0.8, null])]
    #[TestWith([0.65, 0.8, null])]
    #[TestWith([0.5, 0.65, null])]
    #[TestWith([0.66, 0.8, AdaptiveEnding::Above])]
    #[TestWith([0.5, 0.64, AdaptiveEnding::Below])]
    public function test_it_stands_on_a_side_when_its_whole_interval_does(
        float $low,
        float $high,
        ?AdaptiveEnding $side,
    ): void {
        $ability = new Ability(theta: [0.0], own: [1.0], shared: [0.0], common: 0.0);
        self::assertSame(
            $side,
            (new AdaptiveStanding(ability: $ability, share: 0.6, interval: new Interval($low, $high)))->side(0.65),
        );
    }

    public function test_the_topic_furthest_behind_its_share_has_its_turn(): void
    {
        $bank = $this->bank(3, 20);
        $test = $this->test($bank, weights: [0.5, 0.3, 0.2]);
        $answered = [];
        $topics = [];
        for ($n = 0; $n < 20; $n++) {
            $next = $this->next(test: $test, bank: $bank, answered: $answered);
            self::assertNotNull($next);
            $answered[$next] = (float) ($n % 2);
            $topics[] = $next % 3;
        }

        self::assertSame([0, 1, 2], array_slice($topics, 0, 3));
        self::assertSame([0 => 10, 1 => 6, 2 => 4], $this->counted($topics));
    }

    public function test_a_topic_without_weight_is_never_asked_and_one_that_is_spent_is_passed_over(): void
    {
        $bank = array_map(
            fn (int $i): AdaptiveItem => new AdaptiveItem(id: $i, topic: [0 => 0, 31 => 2][$i] ?? 1, b: 0.0, c: 0.0),
            range(0, 31),
        );
        $test = $this->test($bank, weights: [0.9, 0.1, 0.0]);

        self::assertSame(0, $this->next(test: $test, bank: $bank, answered: []));
        $next = $this->next(test: $test, bank: $bank, answered: [0 => 1.0]);
        self::assertSame(1, $bank[(int) $next]->topic);
        $all = array_fill(0, 31, 1.0);
        self::assertNull($this->next(test: $test, bank: $bank, answered: $all));
    }

    public function test_one_of_the_five_that_tell_most_is_picked_and_the_seed_says_which(): void
    {
        // Difficulties −3.0, −2.9, … 3.0: at θ = 0 those around 0 tell most.
        $bank = array_map(fn (int $i): AdaptiveItem => new AdaptiveItem($i, 0, ($i - 30) / 10, 0.0), range(0, 60));
        $test = $this->test($bank, weights: [1.0]);
        $picked = [];
        foreach (range(1, 200) as $seed) {
            $next = $this->next(test: $test, bank: $bank, answered: [], seed: $seed);
            self::assertSame($next, $this->next(test: $test, bank: $bank, answered: [], seed: $seed));
            $picked[(int) $next] = true;
        }
        ksort($picked);
        self::assertSame([28, 29, 30, 31, 32], array_keys($picked));

        // Who gets hard ones right is asked harder ones.
        $right = array_fill_keys(range(30, 34), 1.0);
        $harder = $this->next(test: $test, bank: $bank, answered: $right);
        self::assertGreaterThan(36, $harder);
        $wrong = array_fill_keys(range(26, 30), 0.0);
        $easier = $this->next(test: $test, bank: $bank, answered: $wrong);
        self::assertLessThan(24, $easier);
    }

    public function test_never_two_of_one_unit_and_none_twice(): void
    {
        $bank = [
            new AdaptiveItem(id: 0, topic: 0, b: 0.0, c: 0.0, unit: 7),
            new AdaptiveItem(id: 1, topic: 0, b: 0.0, c: 0.0, unit: 7),
            new AdaptiveItem(id: 2, topic: 0, b: 0.0, c: 0.0, unit: 8),
            new AdaptiveItem(3, 0, 0.0, 0.0),
        ];
        $test = $this->test($bank, weights: [1.0]);
        foreach (range(1, 40) as $seed) {
            $next = $this->next(test: $test, bank: $bank, answered: [0 => 1.0], seed: $seed);
            self::assertContains($next, [2, 3]);
        }
        $all = [1 => 1.0, 2 => 0.0, 3 => 1.0];
        self::assertNull($this->next(test: $test, bank: $bank, answered: $all));
        self::assertNull($test->ending($this->answers($bank, $all)));
        self::assertSame(AdaptiveEnding::Spent, $test->ending($this->answers($bank, $all), more: false));
    }

    public function test_what_a_quarter_of_the_tests_had_rests_where_the_bank_allows(): void
    {
        $bank = [
            new AdaptiveItem(id: 0, topic: 0, b: 0.0, c: 0.0, exposure: 0.25),
            new AdaptiveItem(id: 1, topic: 0, b: 0.0, c: 0.0, exposure: 0.9),
            new AdaptiveItem(id: 2, topic: 0, b: 2.0, c: 0.0, exposure: 0.24),
        ];
        $test = $this->test($bank, weights: [1.0]);
        foreach (range(1, 20) as $seed) {
            self::assertSame(2, $this->next(test: $test, bank: $bank, answered: [], seed: $seed));
        }
        self::assertContains($this->next(test: $test, bank: $bank, answered: [2 => 1.0]), [0, 1]);
    }

    public function test_of_those_that_rest_it_asks_what_is_new_to_the_candidate_as_far_as_there_is_any(): void
    {
        $bank = [
            new AdaptiveItem(id: 0, topic: 0, b: 0.0, c: 0.0, met: true),
            new AdaptiveItem(id: 1, topic: 0, b: 3.0, c: 0.0),
            new AdaptiveItem(id: 2, topic: 0, b: 0.0, c: 0.0, exposure: 0.5),
        ];
        $test = $this->test($bank, weights: [1.0]);

        self::assertSame(1, $this->next(test: $test, bank: $bank, answered: []));
        self::assertSame(0, $this->next(test: $test, bank: $bank, answered: [1 => 0.0]));
        self::assertSame(2, $this->next(test: $test, bank: $bank, answered: [0 => 1.0, 1 => 0.0]));
    }

    public function test_the_first_question_goes_by_the_cohort(): void
    {
        $bank = array_map(fn (int $i): AdaptiveItem => new AdaptiveItem($i, 0, ($i - 30) / 10, 0.0), range(0, 60));
        $test = $this->test($bank, weights: [1.0], prior: new Prior(1.5, 0.8));
        self::assertEqualsWithDelta(45, $this->next(test: $test, bank: $bank, answered: []), 2);
    }

    public function test_the_share_is_expected_on_the_whole_bank_with_its_interval(): void
    {
        $bank = [
            new AdaptiveItem(0, 0, -1.0, 0.25), new AdaptiveItem(1, 0, 0.5, 0.25), new AdaptiveItem(2, 1, 0.0, 0.0),
            new AdaptiveItem(3, 1, 1.0, 0.0), new AdaptiveItem(4, 1, -0.5, 0.0),
        ];
        $test = $this->test($bank, weights: [0.5, 0.5]);
        $standing = $test->standing($this->answers($bank, [0 => 1.0, 3 => 0.5]));

        $ability = (new AbilityEstimator())->estimate(
            [new Response(0, -1.0, 0.25, 1.0), new Response(1, 1.0, 0.0, 0.5)],
            2,
        );
        $first = Mastery::of($ability, 0, [new Item(-1.0, 0.25), new Item(0.5, 0.25)]);
        $second = Mastery::of($ability, 1, [new Item(0.0, 0.0), new Item(1.0, 0.0), new Item(-0.5, 0.0)]);
        $share = (2 * $first->share + 3 * $second->share) / 5;
        $reach = 1.959964 * sqrt($ability->varianceAlong([0.4 * $first->slope, 0.6 * $second->slope]));
        self::assertEqualsWithDelta($share, $standing->share, 1e-9);
        self::assertEqualsWithDelta($share - $reach, $standing->interval->low, 1e-6);
        self::assertEqualsWithDelta(min(1.0, $share + $reach), $standing->interval->high, 1e-6);
    }

    public function test_it_ends_when_the_interval_leaves_the_cut_and_not_before_fifteen(): void
    {
        $bank = $this->bank(2, 60);
        $test = $this->test($bank, weights: [0.5, 0.5], most: 40);
        $of = fn (int $n, float $outcome): ?AdaptiveEnding => $test->ending(
            $this->answers($bank, array_fill(0, $n, $outcome)),
        );

        self::assertNull($of(14, 1.0));
        self::assertSame(AdaptiveEnding::Above, $of(15, 1.0));
        self::assertNull($of(14, 0.0));
        self::assertSame(AdaptiveEnding::Below, $of(15, 0.0));
    }

    public function test_it_ends_at_its_most_though_nothing_is_settled(): void
    {
        $bank = $this->bank(2, 60);
        $test = $this->test($bank, weights: [0.5, 0.5], cut: 0.5, most: 20);
        $even = array_map(fn (int $i): float => (float) (intdiv($i, 2) % 2), range(0, 19));

        self::assertNull($test->ending($this->answers($bank, array_slice($even, 0, 18))));
        self::assertSame(AdaptiveEnding::Most, $test->ending($this->answers($bank, $even)));
    }

    #[TestWith([1.0])]
    #[TestWith([0.0])]
    public function test_a_perfect_and_an_empty_run_end_sensibly(float $outcome): void
    {
        $bank = $this->bank(4, 30);
        $test = $this->test($bank, weights: [0.25, 0.25, 0.25, 0.25], most: 60);
        $answered = [];
        while (($ending = $test->ending($this->answers($bank, $answered))) === null) {
            $next = $this->next(test: $test, bank: $bank, answered: $answered, seed: count($answered));
            $answered[(int) $next] = $outcome;
        }
        $standing = $test->standing($this->answers($bank, $answered));

        self::assertLessThanOrEqual(20, count($answered));
        self::assertSame($outcome === 1.0 ? AdaptiveEnding::Above : AdaptiveEnding::Below, $ending);
        self::assertTrue(is_finite($standing->share) && $standing->interval->holds($standing->share));
    }

    public function test_the_same_seed_gives_the_same_test(): void
    {
        $run = function (int $seed): array {
            $bank = $this->bank(3, 20);
            $test = $this->test($bank, weights: [0.4, 0.4, 0.2]);
            $answered = [];
            while (count($answered) < 25) {
                $next = (int) $this->next(
                    test: $test,
                    bank: $bank,
                    answered: $answered,
                    seed: 100 * $seed + count($answered),
                );
                $answered[$next] = (float) ($next % 2);
            }

            return array_keys($answered);
        };

        self::assertSame($run(5), $run(5));
        self::assertNotSame($run(5), $run(6));
    }

    /**
     * @param  list<AdaptiveItem>  $bank
     * @param  array<int, float>  $answered  index in the bank => outcome
     */
    private function next(Adaptive $test, array $bank, array $answered, int $seed = 1): ?int
    {
        $ofTopic = fn (int $topic): array => array_values(
            array_filter($bank, fn (AdaptiveItem $item): bool => $item->topic === $topic),
        );

        return $test->next($this->answers($bank, $answered), $ofTopic, $this->chance($seed))?->id;
    }

    /**
     * @param  list<AdaptiveItem>  $bank
     * @param  array<int, float>  $answered  index in the bank => outcome
     * @return list<AdaptiveAnswer>
     */
    private function answers(array $bank, array $answered): array
    {
        return array_map(
            fn (int $i, float $outcome): AdaptiveAnswer => new AdaptiveAnswer($bank[$i], $outcome),
            array_keys($answered),
            array_values($answered),
        );
    }

    /**
     * @param  list<AdaptiveItem>  $bank
     * @param  list<float>  $weights
     */
    private function test(
        array $bank,
        array $weights,
        float $cut = 0.65,
        int $most = 60,
        Prior $prior = new Prior(),
    ): Adaptive {
        $byTopic = array_fill(0, count($weights), []);
        foreach ($bank as $item) {
            $byTopic[$item->topic][] = new Item($item->b, $item->c);
        }

        return new Adaptive(
            estimator: new AbilityEstimator($prior),
            bank: $byTopic,
            weights: $weights,
            cut: $cut,
            most: $most,
        );
    }

    /** @return list<AdaptiveItem> topic after topic in turn */
    private function bank(int $topics, int $each): array
    {
        return array_map(
            fn (int $i): AdaptiveItem => new AdaptiveItem(
                $i,
                $i % $topics,
                [-1.0, 0.0, 1.0, 0.5][intdiv($i, $topics) % 4],
                0.25 * ($i % 2),
            ),
            range(0, $topics * $each - 1),
        );
    }

    private function chance(int $seed = 1): Randomizer
    {
        return new Randomizer(new Xoshiro256StarStar($seed));
    }

    /**
     * @param  list<int>  $topics
     * @return array<int, int>
     */
    private function counted(array $topics): array
    {
        $counted = array_count_values($topics);
        ksort($counted);

        return $counted;
    }
}
