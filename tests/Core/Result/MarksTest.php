<?php

declare(strict_types=1);

namespace Tests\Core\Result;

use Brick\Math\BigRational;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\InvalidScheme;
use Uplandia\Core\Marking\MarkScheme;
use Uplandia\Core\Marking\Scale;
use Uplandia\Core\Result\CutBounds;
use Uplandia\Core\Result\Marked;
use Uplandia\Core\Result\Status;
use Uplandia\Core\Result\Totals;
use Uplandia\Core\Shown;
use Uplandia\Core\Statistics\Normal;
use Uplandia\Core\Statistics\Wilson;

final class MarksTest extends TestCase
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
        self::assertSame(
            $score,
            (new Scale(low: 200, high: 800, cut: '0.65', cutScore: 500))->score(BigRational::of($share)),
        );
    }

    public function test_a_scaled_score_only_rises_and_never_crosses_the_cut_by_rounding(): void
    {
        $scales = [[200, 800, '0.65', 500, 1], [0, 100, '2/3', 60, 20], [1, 10, '0.5', 4, 3]];
        foreach ($scales as [$low, $high, $cut, $cutScore, $step]) {
            $scale = new Scale(low: $low, high: $high, cut: $cut, cutScore: $cutScore, step: $step);
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
        $plain = new MarkScheme();
        $totals = Totals::of([
            new Marked(Credit::full(), $plain),
            new Marked(Credit::full(), new MarkScheme(2)),
            new Marked(Credit::ratio(1, 2), $plain),
            new Marked(Credit::nothing(), new MarkScheme(1, '1/2')),
            new Marked(Credit::leftBlank(), $plain),
            new Marked(Credit::pending(), new MarkScheme(4)),
        ]);

        self::assertSame(
            [6, 5, 2, 1, 1, 1, 1],
            [
                $totals->questions,
                $totals->answered(),
                $totals->right,
                $totals->partly,
                $totals->missed,
                $totals->leftBlank,
                $totals->pending,
            ],
        );
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
        self::assertNull(Totals::of([new Marked(Credit::leftBlank(), new MarkScheme())])->shareOfAnswered());
    }

    public function test_wilson_intervals_of_the_worked_examples(): void
    {
        $few = Wilson::interval(8, 10);
        $many = Wilson::interval(45, 60);

        self::assertEqualsWithDelta([0.49, 0.943], [$few->low, $few->high], 0.0005);
        self::assertEqualsWithDelta([0.628, 0.842], [$many->low, $many->high], 0.0005);
        self::assertSame([0.0, 1.0], [Wilson::interval(0, 0)->low, Wilson::interval(0, 0)->high]);
    }

    /** @return list<Marked> */
    private static function many(int $n, Credit $credit, MarkScheme $scheme): array
    {
        return array_fill(0, $n, new Marked($credit, $scheme));
    }

    public function test_bounds_lie_round_the_share_of_marks_that_is_shown(): void
    {
        $half = new MarkScheme(1, '1/2');
        $totals = Totals::of([...self::many(45, Credit::full(), $half), ...self::many(15, Credit::nothing(), $half)]);
        $bounds = CutBounds::of($totals, 0.65);
        self::assertEqualsWithDelta(
            [0.625, 0.5426, 0.7008],
            [$bounds->share, $bounds->bounds->low, $bounds->bounds->high],
            5e-5,
        );
        self::assertSame(Status::Unsettled, $bounds->status);
        self::assertSame('15/2', (string) $totals->penalties);

        $uneven = Totals::of([
            ...self::many(20, Credit::full(), new MarkScheme()),
            ...self::many(5, Credit::nothing(), new MarkScheme(5)),
        ]);
        $bounds = CutBounds::of($uneven, 0.65);
        self::assertEqualsWithDelta(
            [0.4444, 0.289, 0.6116],
            [$bounds->share, $bounds->bounds->low, $bounds->bounds->high],
            6e-5,
        );
        self::assertEqualsWithDelta(13.966, $uneven->effectiveQuestions(), 1e-3);
        self::assertSame(Status::Below, $bounds->status);
    }

    public function test_a_topic_is_above_below_or_unsettled_by_its_bounds(): void
    {
        $status = fn (int $right, int $wrong, float $cut = 0.65): Status => CutBounds::of(
            Totals::of([
                ...self::many($right, Credit::full(), new MarkScheme()),
                ...self::many($wrong, Credit::nothing(), new MarkScheme()),
            ]),
            $cut,
        )->status;
        self::assertSame(
            [Status::Above, Status::Below, Status::Unsettled, Status::Unsettled],
            [$status(18, 2), $status(8, 12), $status(13, 7), $status(0, 0)],
        );
        // At 80 % these are settled; at 95 % they would not be.
        self::assertSame([Status::Above, Status::Below], [$status(16, 4), $status(10, 10)]);
        // A bound that lies on the cut: the lower one is above it, the upper one is not below it.
        $five = CutBounds::of(Totals::of(self::many(5, Credit::full(), new MarkScheme())), 0.5)->bounds;
        self::assertSame(Status::Above, $status(5, 0, $five->low));
        self::assertSame(
            Status::Unsettled,
            $status(
                0,
                5,
                CutBounds::of(Totals::of(self::many(5, Credit::nothing(), new MarkScheme())), 0.5)->bounds->high,
            ),
        );
    }

    public function test_marks_below_nothing_have_bounds_from_nothing(): void
    {
        $bounds = CutBounds::of(Totals::of(self::many(6, Credit::nothing(), new MarkScheme(1, 1))), 0.65);
        self::assertEqualsWithDelta([0.0, 0.0], [$bounds->share, $bounds->bounds->low], 1e-12);
    }

    public function test_what_was_not_reached_is_blank_in_the_marks_and_counted_apart(): void
    {
        $totals = Totals::of([
            new Marked(Credit::full(), new MarkScheme()),
            new Marked(Credit::notReached(), new MarkScheme(3)),
            new Marked(Credit::leftBlank(), new MarkScheme()),
        ]);
        self::assertSame(
            [3, 1, 1, 1],
            [$totals->questions, $totals->answered(), $totals->leftBlank, $totals->notReached],
        );
        self::assertSame(['1/5', '1'], [(string) $totals->shareOfAll(), (string) $totals->shareOfAnswered()]);
    }

    public function test_a_sitting_counts_from_four_fifths_answered(): void
    {
        $counts = fn (int $answered, int $all): bool => Totals::of([
            ...self::many($answered, Credit::nothing(), new MarkScheme()),
            ...self::many($all - $answered, Credit::leftBlank(), new MarkScheme()),
        ])->counts();
        self::assertSame([true, false, true, false], [$counts(4, 5), $counts(79, 100), $counts(8, 10), $counts(0, 0)]);
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

    /** The tails to twelve digits, on both sides of where one formula takes over from the other. */
    #[TestWith([-2.9, 1.8658133003840378e-3])]
    #[TestWith([-3.0, 1.3498980316300946e-3])]
    #[TestWith([-3.1, 9.676032132183563e-4])]
    #[TestWith([-3.5, 2.3262907903552504e-4])]
    #[TestWith([-5.0, 2.866515718791939e-7])]
    #[TestWith([-8.0, 6.220960574271785e-16])]
    #[TestWith([-20.0, 2.7536241186062337e-89])]
    public function test_the_tails_of_the_normal_distribution(float $x, float $p): void
    {
        self::assertEqualsWithDelta(1.0, Normal::cdf($x) / $p, 1e-12);
        self::assertSame(1.0, Normal::cdf(39.0));
        self::assertSame(0.0, Normal::cdf(-39.0));
    }

    public function test_schemes_that_make_no_sense_are_refused(): void
    {
        $bad = [
            fn () => new MarkScheme(-1),
            fn () => new MarkScheme(1, 2),
            fn () => new Scale(low: 0, high: 100, cut: '0.5', cutScore: 100),
            fn () => new Scale(low: 0, high: 100, cut: '0.5', cutScore: 0),
            fn () => new Scale(low: 0, high: 100, cut: '0', cutScore: 50),
            fn () => new Scale(low: 0, high: 100, cut: '1', cutScore: 50),
            fn () => new Scale(low: 0, high: 100, cut: '0.5', cutScore: 50, step: 7),
            fn () => MarkScheme::correctingForGuessing(1, 1),
            fn () => new MarkScheme('1e999999999'),
            fn () => new MarkScheme(1, 'abc'),
            fn () => new Scale(low: 0, high: 100, cut: '1e50', cutScore: 50),
        ];
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
