<?php

declare(strict_types=1);

namespace Tests\Core\Progress;

use App\Bench\OutlookTrial;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Progress\Ability;
use Uplandia\Core\Progress\AbilityEstimator;
use Uplandia\Core\Progress\Evidence;
use Uplandia\Core\Progress\EvidenceGate;
use Uplandia\Core\Progress\Item;
use Uplandia\Core\Progress\Mastery;
use Uplandia\Core\Progress\PassOutlook;
use Uplandia\Core\Progress\PointsAtStake;
use Uplandia\Core\Progress\Prior;
use Uplandia\Core\Progress\Response;
use Uplandia\Core\Statistics\Normal;

final class MasteryTest extends TestCase
{
    private const Q = 0.25;

    private function ability(): Ability
    {
        [$n, $w, $l] = [0, 1, 2];

        return (new AbilityEstimator())->estimate(
            [
                new Response(topic: $n, b: -1, c: self::Q, x: 1),
                new Response(topic: $n, b: 0, c: self::Q, x: 1),
                new Response(topic: $n, b: 0.5, c: self::Q, x: 0),
                new Response(topic: $n, b: 1, c: 0, x: 1),
                new Response(topic: $w, b: -0.5, c: self::Q, x: 0),
                new Response(topic: $w, b: 0, c: self::Q, x: 0),
                new Response(topic: $w, b: 0.3, c: 0, x: 0.5),
                new Response(topic: $l, b: 0, c: self::Q, x: 1),
            ],
            4,
        );
    }

    /** @return list<Mastery> */
    private function mastery(Ability $ability): array
    {
        $bank = [
            [new Item(-1, self::Q), new Item(0, self::Q), new Item(0.5, self::Q), new Item(1, 0)],
            [new Item(-0.5, self::Q), new Item(0, self::Q), new Item(0.3, 0)],
            [new Item(0, self::Q), new Item(0.4, self::Q)],
            [new Item(-0.2, self::Q), new Item(0.2, 0)],
        ];

        return array_map(fn (int $t): Mastery => Mastery::of($ability, $t, $bank[$t]), range(0, 3));
    }

    public function test_alike_questions_can_be_told_once_with_their_number(): void
    {
        $ability = $this->ability();
        $one = Mastery::of($ability, 0, [new Item(-1, self::Q), new Item(1, 0), new Item(-1, self::Q)]);
        $other = Mastery::of($ability, 0, [new Item(-1, self::Q, n: 2), new Item(1, 0)]);
        self::assertEqualsWithDelta(
            [$one->share, $one->band->low, $one->band->high, $one->slope],
            [$other->share, $other->band->low, $other->band->high, $other->slope],
            1e-12,
        );
    }

    public function test_ability_of_the_worked_example(): void
    {
        $ability = $this->ability();

        self::assertEqualsWithDelta([0.2271, -0.1749, 0.1271, 0.0552], $ability->theta, 5e-5);
        self::assertEqualsWithDelta(
            [0.5606, 0.5801, 0.6694, 0.712],
            array_map($ability->variance(...), range(0, 3)),
            5e-5,
        );
    }

    public function test_mastery_of_the_worked_example(): void
    {
        $mastery = $this->mastery($this->ability());

        self::assertEqualsWithDelta([0.5971, 0.5565, 0.6129, 0.5676], array_column($mastery, 'share'), 5e-5);
        foreach ($mastery as $topic) {
            self::assertTrue($topic->band->holds($topic->share));
        }
    }

    public function test_the_pass_outlook_of_the_worked_example(): void
    {
        $ability = $this->ability();
        $outlook = PassOutlook::of(
            ability: $ability,
            questions: [8, 6, 4, 2],
            needed: 13,
            mastery: $this->mastery($ability),
        );

        self::assertEqualsWithDelta(
            [11.703, 3.362, 0.406],
            [$outlook->expected, $outlook->deviation, $outlook->chance],
            5e-4,
        );
        self::assertTrue($outlook->range->holds($outlook->chance));
    }

    public function test_bands_and_ranges_are_those_of_eighty_in_a_hundred(): void
    {
        $ability = $this->ability();
        $mastery = $this->mastery($ability);
        $sigma = fn (float $x): float => 1 / (1 + exp(-$x));
        $reach = 1.2815515655446004 * sqrt($ability->variance(3));
        $share = fn (float $theta): float => (0.25 + 0.75 * $sigma($theta + 0.2) + $sigma($theta - 0.2)) / 2;
        self::assertEqualsWithDelta(
            [$share($ability->theta[3] - $reach), $share($ability->theta[3] + $reach)],
            [$mastery[3]->band->low, $mastery[3]->band->high],
            1e-12,
        );

        $outlook = PassOutlook::of(ability: $ability, questions: [8, 6, 4, 2], needed: 13, mastery: $mastery);
        $g = array_map(fn (int $n, Mastery $topic): float => $n * $topic->slope, [8, 6, 4, 2], $mastery);
        $luck = array_sum(
            array_map(
                fn (int $n, Mastery $topic): float => $n * $topic->share * (1 - $topic->share),
                [8, 6, 4, 2],
                $mastery,
            ),
        );
        $at = fn (float $z): float => 1 -
            Normal::cdf((12.5 - $outlook->expected - $z * sqrt($ability->varianceAlong($g))) / sqrt($luck));
        self::assertEqualsWithDelta(
            [$at(-1.2815515655446004), $at(1.2815515655446004)],
            [$outlook->range->low, $outlook->range->high],
            1e-12,
        );
    }

    public function test_what_would_move_the_outlook_most_is_what_it_gains_with_one_topic_at_the_target(): void
    {
        $ability = $this->ability();
        $mastery = $this->mastery($ability);
        $n = [8, 6, 4, 2];
        $p = array_column($mastery, 'share');
        $luck = fn (array $p): float => array_sum(
            array_map(fn (int $n, float $p): float => $n * $p * (1 - $p), $n, $p),
        );
        $outlook = PassOutlook::of(ability: $ability, questions: $n, needed: 13, mastery: $mastery);
        $doubt = $outlook->deviation ** 2 - $luck($p);
        $levers = PassOutlook::levers(ability: $ability, questions: $n, needed: 13, mastery: $mastery, target: 0.61);
        foreach ($p as $t => $share) {
            $moved = array_replace($p, [$t => max($share, 0.61)]);
            $mean = array_sum(array_map(fn (int $n, float $p): float => $n * $p, $n, $moved));
            $chance = 1 - Normal::cdf((12.5 - $mean) / sqrt($doubt + $luck($moved)));
            self::assertEqualsWithDelta($chance - $outlook->chance, $levers[$t], 1e-9);
        }
        // The third is above the target already.
        self::assertSame(0.0, $levers[2]);
        self::assertGreaterThan($levers[0], $levers[1]);
    }

    public function test_the_range_holds_its_own_chance_even_far_from_the_cut(): void
    {
        $ability = (new AbilityEstimator())->estimate(array_fill(0, 60, new Response(topic: 0, b: 0, c: 0, x: 1)), 1);
        $mastery = [Mastery::of($ability, 0, [new Item(0, 0)])];
        foreach ([1, 5, 20, 35, 39, 40] as $needed) {
            $outlook = PassOutlook::of(ability: $ability, questions: [40], needed: $needed, mastery: $mastery);
            self::assertTrue($outlook->range->holds($outlook->chance), "needing {$needed}");
        }
    }

    public function test_a_topic_stands_by_itself_as_far_as_half_a_unit(): void
    {
        // With two topics of opposite answers the common ability stays in the middle, and each topic takes its own
        // side.
        $ability = (new AbilityEstimator())->estimate(
            [
                ...array_fill(0, 12, new Response(topic: 0, b: 0, c: 0, x: 1)),
                ...array_fill(0, 12, new Response(topic: 1, b: 0, c: 0, x: 0)),
            ],
            2,
        );
        self::assertEqualsWithDelta(0.0, $ability->theta[0] + $ability->theta[1], 1e-9);
        self::assertGreaterThan(0.6, $ability->theta[0]);
        self::assertEqualsWithDelta(0.25, (new Prior())->topicDeviation ** 2, 1e-12);
    }

    public function test_the_variance_along_a_direction_is_that_of_the_whole_matrix(): void
    {
        $ability = $this->ability();
        $g = [1.5, -0.3, 2.0, 0.7];
        $full = 0.0;
        foreach ($g as $t => $gt) {
            foreach ($g as $u => $gu) {
                $full += $gt * $gu * $ability->covariance($t, $u);
            }
        }

        self::assertEqualsWithDelta($full, $ability->varianceAlong($g), 1e-12);
    }

    public function test_without_answers_the_prior_is_all_there_is(): void
    {
        $ability = (new AbilityEstimator(new Prior(0.4, 1.2)))->estimate([], 3);

        self::assertEqualsWithDelta([0.4, 0.4, 0.4], $ability->theta, 1e-12);
        self::assertEqualsWithDelta(1.44 + 0.25, $ability->variance(0), 1e-12);
        self::assertEqualsWithDelta(1.44, $ability->covariance(0, 1), 1e-12);
    }

    public function test_a_topic_without_answers_is_drawn_to_the_others_and_stays_less_certain(): void
    {
        $ability = (new AbilityEstimator())->estimate(array_fill(0, 30, new Response(topic: 0, b: 0, c: 0, x: 1)), 2);

        self::assertGreaterThan(0.8, $ability->theta[1]);
        self::assertLessThan($ability->theta[0], $ability->theta[1]);
        self::assertGreaterThan($ability->variance(0), $ability->variance(1));
    }

    public function test_all_right_and_all_wrong_stay_finite(): void
    {
        foreach ([0.0, 1.0] as $x) {
            $ability = (new AbilityEstimator())->estimate(
                array_fill(0, 500, new Response(topic: 0, b: -3, c: 0.25, x: $x)),
                1,
            );
            self::assertTrue(is_finite($ability->theta[0]) && abs($ability->theta[0]) < 10);
        }
    }

    public function test_questions_that_everybody_gets_right_tell_nothing_and_stop_nothing(): void
    {
        $far = fn (float $x): Response => new Response(topic: 0, b: -60.0, c: 0.0, x: $x);
        $without = (new AbilityEstimator())->estimate([new Response(topic: 0, b: 0, c: 0, x: 1)], 1);
        $with = (new AbilityEstimator())->estimate([new Response(topic: 0, b: 0, c: 0, x: 1), $far(1.0)], 1);
        self::assertEqualsWithDelta($without->theta, $with->theta, 1e-9);
        self::assertTrue(is_finite((new AbilityEstimator())->estimate([$far(0.0), $far(0.5)], 1)->theta[0]));
    }

    /** The highest point, climbed to by halving steps in the test itself. */
    public function test_all_wrong_with_luck_in_it_arrives_at_the_highest_point(): void
    {
        $responses = array_map(
            fn (int $i): Response => new Response(topic: 0, b: ($i % 21 - 10) / 5, c: 0.25, x: 0.0),
            range(0, 2999),
        );
        $height = function (float $common, float $delta) use ($responses): float {
            $sum = -$common ** 2 / 2 - $delta ** 2 / (2 * 0.25);
            foreach ($responses as $one) {
                $sum += log(1 - 0.25 - 0.75 / (1 + exp($one->b - $common - $delta)));
            }

            return $sum;
        };
        $theta = (new AbilityEstimator())->estimate($responses, 1)->theta[0];
        // θ = θ_0 + δ under priors of variance 1 and ¼: four fifths of it are θ_0.
        $at = $height(0.8 * $theta, 0.2 * $theta);
        foreach ([0.001, -0.001] as $step) {
            self::assertLessThan($at, $height(0.8 * $theta + $step, 0.2 * $theta));
            self::assertLessThan($at, $height(0.8 * $theta, 0.2 * $theta + $step));
        }
    }

    public function test_only_a_first_look_or_one_after_thirty_days_is_independent(): void
    {
        self::assertSame([0, 2], Evidence::independent([0.0, 5.0, 35.0, 64.9]));
        self::assertSame([], Evidence::independent([]));
        self::assertSame(0.5, Evidence::weight(90));
        self::assertSame(1.0, Evidence::weight(-3));
    }

    public function test_the_gate_opens_with_forty_responses_over_three_fifths_of_the_weight(): void
    {
        $weights = [30.0, 30.0, 25.0, 15.0];

        self::assertTrue(EvidenceGate::of([20, 20, 0, 0], $weights)->isOpen());
        $few = EvidenceGate::of([20, 19, 0, 0], $weights);
        self::assertSame([false, 1], [$few->isOpen(), $few->responsesMissing]);
        $narrow = EvidenceGate::of([60, 0, 5, 0], $weights);
        self::assertSame([false, [1, 3]], [$narrow->isOpen(), $narrow->untouched]);
        self::assertEqualsWithDelta(0.55, $narrow->weightTouched, 1e-12);
        self::assertSame([false, true, true], array_map(EvidenceGate::isTouched(...), [0.55, 0.1 + 0.5, 0.7]));
        // A topic of which nothing is said was not touched.
        self::assertSame([false, [2, 3]], [
            EvidenceGate::of([40], [50.0, 0.0, 30.0, 20.0])->isOpen(),
            EvidenceGate::of([20, 20], $weights)->untouched,
        ]);
    }

    public function test_points_at_stake_are_weight_times_distance_below_the_target(): void
    {
        self::assertEqualsWithDelta(3.0, PointsAtStake::of(20, 0.65, 0.55), 1e-12);
        self::assertSame(0.0, PointsAtStake::of(20, 0.65, 0.8));
    }

    public function test_of_those_given_an_outlook_about_as_many_pass(): void
    {
        // The whole trial is `./uplandia trial`; this is a smaller one, so its bands are wider and may be further off.
        $trial = OutlookTrial::run(900, 'small trial');

        self::assertGreaterThan(0.5, $trial->skill);
        foreach ($trial->bands as $band) {
            if ($band['n'] >= 120) {
                self::assertEqualsWithDelta($band['predicted'], $band['observed'], 0.08, "band from {$band['from']}");
            }
        }
    }
}
