<?php

declare(strict_types=1);

namespace Tests\Core\Mastery;

use App\Bench\OutlookTrial;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Mastery\Ability;
use Uplandia\Core\Mastery\AbilityEstimator;
use Uplandia\Core\Mastery\Evidence;
use Uplandia\Core\Mastery\EvidenceGate;
use Uplandia\Core\Mastery\Item;
use Uplandia\Core\Mastery\Mastery;
use Uplandia\Core\Mastery\PassOutlook;
use Uplandia\Core\Mastery\PointsAtStake;
use Uplandia\Core\Mastery\Prior;
use Uplandia\Core\Mastery\Response;

final class MasteryTest extends TestCase
{
    private const Q = .25;

    private function ability(): Ability
    {
        [$n, $w, $l] = [0, 1, 2];

        return (new AbilityEstimator)->estimate([
            new Response($n, -1, self::Q, 1), new Response($n, 0, self::Q, 1), new Response($n, .5, self::Q, 0), new Response($n, 1, 0, 1),
            new Response($w, -.5, self::Q, 0), new Response($w, 0, self::Q, 0), new Response($w, .3, 0, .5), new Response($l, 0, self::Q, 1),
        ], 4);
    }

    /** @return list<Mastery> */
    private function mastery(Ability $ability): array
    {
        $bank = [
            [new Item(-1, self::Q), new Item(0, self::Q), new Item(.5, self::Q), new Item(1, 0)],
            [new Item(-.5, self::Q), new Item(0, self::Q), new Item(.3, 0)],
            [new Item(0, self::Q), new Item(.4, self::Q)],
            [new Item(-.2, self::Q), new Item(.2, 0)],
        ];

        return array_map(fn (int $t): Mastery => Mastery::of($ability, $t, $bank[$t]), range(0, 3));
    }

    public function test_ability_of_the_worked_example(): void
    {
        $ability = $this->ability();

        self::assertEqualsWithDelta([.2271, -.1749, .1271, .0552], $ability->theta, 5e-5);
        self::assertEqualsWithDelta([.5606, .5801, .6694, .7120], array_map($ability->variance(...), range(0, 3)), 5e-5);
    }

    public function test_mastery_of_the_worked_example(): void
    {
        $mastery = $this->mastery($this->ability());

        self::assertEqualsWithDelta([.5971, .5565, .6129, .5676], array_column($mastery, 'share'), 5e-5);
        foreach ($mastery as $topic) {
            self::assertTrue($topic->band->holds($topic->share));
        }
    }

    public function test_the_pass_outlook_of_the_worked_example(): void
    {
        $ability = $this->ability();
        $outlook = PassOutlook::of($ability, [8, 6, 4, 2], 13, $this->mastery($ability));

        self::assertEqualsWithDelta([11.703, 3.362, .406], [$outlook->expected, $outlook->deviation, $outlook->chance], 5e-4);
        self::assertTrue($outlook->range->holds($outlook->chance));
    }

    public function test_the_variance_along_a_direction_is_that_of_the_whole_matrix(): void
    {
        $ability = $this->ability();
        $g = [1.5, -.3, 2.0, .7];
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
        $ability = (new AbilityEstimator(new Prior(.4, 1.2)))->estimate([], 3);

        self::assertEqualsWithDelta([.4, .4, .4], $ability->theta, 1e-12);
        self::assertEqualsWithDelta(1.44 + .25, $ability->variance(0), 1e-12);
        self::assertEqualsWithDelta(1.44, $ability->covariance(0, 1), 1e-12);
    }

    public function test_a_topic_without_answers_is_drawn_to_the_others_and_stays_less_certain(): void
    {
        $ability = (new AbilityEstimator)->estimate(array_fill(0, 30, new Response(0, 0, 0, 1)), 2);

        self::assertGreaterThan(.8, $ability->theta[1]);
        self::assertLessThan($ability->theta[0], $ability->theta[1]);
        self::assertGreaterThan($ability->variance(0), $ability->variance(1));
    }

    public function test_all_right_and_all_wrong_stay_finite(): void
    {
        foreach ([0.0, 1.0] as $x) {
            $ability = (new AbilityEstimator)->estimate(array_fill(0, 500, new Response(0, -3, .25, $x)), 1);
            self::assertTrue(is_finite($ability->theta[0]) && abs($ability->theta[0]) < 10);
        }
    }

    public function test_only_a_first_look_or_one_after_thirty_days_is_independent(): void
    {
        self::assertSame([0, 2], Evidence::independent([0.0, 5.0, 35.0, 64.9]));
        self::assertSame([], Evidence::independent([]));
        self::assertSame(.5, Evidence::weight(90));
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
        self::assertEqualsWithDelta(.55, $narrow->weightTouched, 1e-12);
    }

    public function test_points_at_stake_are_weight_times_distance_below_the_target(): void
    {
        self::assertEqualsWithDelta(3.0, PointsAtStake::of(20, .65, .55), 1e-12);
        self::assertSame(0.0, PointsAtStake::of(20, .65, .8));
    }

    public function test_of_those_given_an_outlook_about_as_many_pass(): void
    {
        // The whole trial is `./uplandia trial`; this is a smaller one, so its bands are wider and may be further off.
        $trial = OutlookTrial::run(900, 'small trial');

        self::assertGreaterThan(.5, $trial->skill);
        foreach ($trial->bands as $band) {
            if ($band['n'] >= 120) {
                self::assertEqualsWithDelta($band['predicted'], $band['observed'], .08, "band from {$band['from']}");
            }
        }
    }
}
