<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Brick\Math\BigRational;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Scoring\InvalidScheme;
use Uplandia\Core\Scoring\Marked;
use Uplandia\Core\Scoring\MarkScheme;
use Uplandia\Core\Scoring\Scale;
use Uplandia\Core\Scoring\Shown;
use Uplandia\Core\Scoring\Status;
use Uplandia\Core\Scoring\Totals;
use Uplandia\Core\Statistics\Normal;
use Uplandia\Core\Statistics\Wilson;

final class ScoringTest extends TestCase
{
    #[TestWith(['0', 200])]
    #[TestWith(['0.35', 361])]
    #[TestWith(['0.6499', 499])]
    #[TestWith(['0.65', 500])]
    #[TestWith(['0.8', 629])]
    #[TestWith(['1', 800])]
    #[TestWith(['-0.2', 200])]
    public function test_the_scale_of_the_worked_example(string $share, int $score): void
    {
        self::assertSame($score, (new Scale(200, 800, '0.65', 500))->score(BigRational::of($share)));
    }

    public function test_a_scaled_score_only_rises_and_never_crosses_the_cut_by_rounding(): void
    {
        foreach ([[200, 800, '0.65', 500, 1], [0, 100, '2/3', 60, 20], [1, 10, '0.5', 4, 3]] as [$low, $high, $cut, $cutScore, $step]) {
            $scale = new Scale($low, $high, $cut, $cutScore, $step);
            $before = $low;
            for ($i = 0; $i <= 1000; $i++) {
                $share = BigRational::nd($i, 1000);
                $score = $scale->score($share);
                self::assertGreaterThanOrEqual($before, $score);
                self::assertSame($scale->passes($share), $score >= $cutScore);
                $before = $score;
            }
        }
    }

    public function test_wrong_answers_cost_their_penalty_and_blanks_nothing(): void
    {
        $scheme = new MarkScheme(3, '1/3');

        self::assertSame('3', (string) $scheme->marksFor(Credit::full()));
        self::assertSame('-1', (string) $scheme->marksFor(Credit::nothing()));
        self::assertSame('0', (string) $scheme->marksFor(Credit::leftBlank()));
        self::assertSame('2', (string) $scheme->marksFor(Credit::ratio(2, 3)));
        self::assertSame('1/4', (string) MarkScheme::correctingForGuessing(1, 5)->penalty);
    }

    public function test_totals_give_both_shares_and_how_many_were_answered(): void
    {
        $plain = new MarkScheme;
        $totals = Totals::of([
            new Marked(Credit::full(), $plain), new Marked(Credit::full(), new MarkScheme(2)), new Marked(Credit::ratio(1, 2), $plain),
            new Marked(Credit::nothing(), new MarkScheme(1, '1/2')), new Marked(Credit::leftBlank(), $plain), new Marked(Credit::pending(), new MarkScheme(4)),
        ]);

        self::assertSame([6, 5, 2, 1, 1, 1, 1], [$totals->questions, $totals->answered(), $totals->right, $totals->partly, $totals->missed, $totals->leftBlank, $totals->pending]);
        self::assertSame('3', (string) $totals->marks);
        self::assertSame('10', (string) $totals->possible);
        self::assertSame('3/10', (string) $totals->shareOfAll());
        self::assertSame('3/5', (string) $totals->shareOfAnswered());
    }

    public function test_a_total_may_be_negative_and_nothing_possible_has_no_share(): void
    {
        $totals = Totals::of([new Marked(Credit::nothing(), new MarkScheme(1, '1/3'))]);

        self::assertSame('-0.33', Shown::decimal($totals->marks));
        self::assertSame('-33.33', Shown::percent($totals->shareOfAll() ?? BigRational::zero()));
        self::assertNull(Totals::of([])->shareOfAll());
        self::assertNull(Totals::of([new Marked(Credit::leftBlank(), new MarkScheme)])->shareOfAnswered());
    }

    public function test_wilson_intervals_of_the_worked_examples(): void
    {
        $few = Wilson::interval(8, 10);
        $many = Wilson::interval(45, 60);

        self::assertEqualsWithDelta([.490, .943], [$few->low, $few->high], .0005);
        self::assertEqualsWithDelta([.628, .842], [$many->low, $many->high], .0005);
        self::assertSame([0.0, 1.0], [Wilson::interval(0, 0)->low, Wilson::interval(0, 0)->high]);
    }

    public function test_a_topic_is_above_below_or_unsettled_by_its_bounds(): void
    {
        self::assertSame(Status::Above, Status::against(.65, 18, 20));
        self::assertSame(Status::Below, Status::against(.65, 8, 20));
        self::assertSame(Status::Unsettled, Status::against(.65, 13, 20));
        self::assertSame(Status::Unsettled, Status::against(.65, 0, 0));
    }

    #[TestWith([0.0, 0.5])]
    #[TestWith([1.0, 0.8413447460685429])]
    #[TestWith([-1.959963984540054, 0.025])]
    #[TestWith([3.5, 0.9997673709209645])]
    #[TestWith([-6.0, 9.865876450376946e-10])]
    public function test_the_normal_distribution(float $x, float $p): void
    {
        self::assertEqualsWithDelta($p, Normal::cdf($x), 1e-13);
    }

    public function test_schemes_that_make_no_sense_are_refused(): void
    {
        $bad = [fn () => new MarkScheme(-1), fn () => new MarkScheme(1, 2), fn () => new Scale(0, 100, '0.5', 100), fn () => new Scale(0, 100, '1', 50), fn () => new Scale(0, 100, '0.5', 50, 7), fn () => MarkScheme::correctingForGuessing(1, 1)];
        foreach ($bad as $make) {
            try {
                $make();
                self::fail('Was accepted.');
            } catch (InvalidScheme $refusal) {
                self::assertStringEndsWith('.', $refusal->getMessage());
            }
        }
    }
}
