<?php

declare(strict_types=1);

namespace Tests\Core\Progress;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Uplandia\Core\Progress\Trend;
use Uplandia\Core\Statistics\Lowess;

final class TrendTest extends TestCase
{
    public function test_points_on_a_line_are_their_own_smooth_line(): void
    {
        $x = [0.0, 1.0, 2.5, 4.0, 7.0, 8.0, 11.0];
        $y = array_map(fn (float $at): float => 0.3 + 0.05 * $at, $x);
        foreach (Lowess::smooth($x, $y) as $i => $smooth) {
            self::assertEqualsWithDelta($y[$i], $smooth, 1e-9);
        }
    }

    public function test_each_point_is_the_line_through_its_neighbourhood_weighed_by_the_tricube(): void
    {
        $x = array_map(floatval(...), range(0, 8));
        $y = [0.0, 0.0, 0.0, 1.0, 1.0, 1.0, 0.0, 0.0, 0.0];
        $smooth = Lowess::smooth($x, $y);
        // Symmetric points, symmetric line.
        for ($i = 0; $i < 9; $i++) {
            self::assertEqualsWithDelta($smooth[8 - $i], $smooth[$i], 1e-9);
        }
        self::assertGreaterThan($smooth[0], $smooth[4]);
        // Points that only share their place are met in the middle, weighed alike.
        $same = Lowess::smooth([1.0, 1.0, 1.0, 1.0], [0.0, 1.0, 0.0, 1.0]);
        self::assertEqualsWithDelta([0.5, 0.5, 0.5, 0.5], $same, 1e-9);
        self::assertSame([0.2, 0.9], Lowess::smooth([0.0, 1.0], [0.2, 0.9]));
    }

    /** Speeds and stopping distances of 1920s cars (Ezekiel 1930), and the line that is published through them. */
    public function test_the_published_line_comes_out(): void
    {
        $x = [
            4, 4, 7, 7, 8, 9, 10, 10, 10, 11, 11, 12, 12, 12, 12, 13, 13, 13, 13, 14, 14, 14, 14, 15, 15, 15, 16, 16,
            17, 17, 17, 18, 18, 18, 18, 19, 19, 19, 20, 20, 20, 20, 20, 22, 23, 24, 24, 24, 24, 25,
        ];
        $y = [
            2, 10, 4, 22, 16, 10, 18, 26, 34, 17, 28, 14, 20, 24, 28, 26, 34, 34, 46, 26, 36, 60, 80, 20, 26, 54, 32,
            40, 32, 40, 50, 42, 56, 76, 84, 36, 46, 68, 32, 48, 52, 56, 64, 66, 54, 70, 92, 93, 120, 85,
        ];
        $smooth = Lowess::smooth(array_map(floatval(...), $x), array_map(floatval(...), $y));
        $published = [0 => 4.965459, 2 => 13.124495, 4 => 15.858633, 5 => 18.579691, 6 => 21.280313, 9 => 24.129277];
        foreach ($published as $i => $value) {
            self::assertEqualsWithDelta($value, $smooth[$i], 5e-7);
        }
    }

    public function test_the_line_does_not_change_with_the_day_from_which_days_are_counted(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(11));
        for ($case = 0; $case < 300; $case++) {
            $x = $y = [];
            $at = 0.0;
            for ($i = 5 + $case % 3; $i > 0; $i--) {
                $x[] = $at += $random->getInt(1, 20_000) / 1000;
                $y[] = $random->getInt(0, 60) / 60;
            }
            $later = array_map(fn (float $one): float => $one + 20_600.3, $x);
            $line = Lowess::smooth($x, $y);
            self::assertEqualsWithDelta($line, Lowess::smooth($later, $y), 1e-6, "seed 11, case {$case}");
        }
    }

    public function test_one_odd_point_does_not_bend_it(): void
    {
        $x = array_map(floatval(...), range(0, 14));
        $y = array_map(fn (float $at): float => 0.4 + 0.02 * $at + (((int) $at % 2) ? 0.005 : -0.005), $x);
        $odd = array_replace($y, [7 => 0.0]);
        $smooth = Lowess::smooth($x, $odd);
        foreach ([5, 6, 7, 8, 9] as $i) {
            self::assertEqualsWithDelta(0.4 + 0.02 * $x[$i], $smooth[$i], 0.02);
        }
    }

    public function test_a_trend_has_bands_and_a_line_only_from_five_sittings_on(): void
    {
        $sittings = fn (int $n): array => array_map(
            fn (int $i): array => ['at' => (float) $i, 'share' => 0.8, 'effective' => 10.0, 'answers' => 10],
            range(1, $n),
        );
        $four = Trend::of($sittings(4));
        self::assertSame([0.8, null], [$four[0]->share, $four[3]->line]);
        // Wilson 95 %: 8 of 10 → 0.490–0.943.
        self::assertEqualsWithDelta([0.490, 0.943], [$four[0]->band->low, $four[0]->band->high], 0.0005);
        $five = Trend::of($sittings(5));
        self::assertEqualsWithDelta(0.8, $five[4]->line, 1e-9);
        self::assertSame([], Trend::of([]));
        // Penalties can take more than there was.
        $minus = Trend::of([['at' => 0.0, 'share' => -0.1, 'effective' => 4.0, 'answers' => 4]])[0];
        self::assertSame([-0.1, 0.0], [$minus->share, $minus->band->low]);
    }

    public function test_a_test_weighs_as_many_as_its_answers_not_like_any_other(): void
    {
        $sat = fn (int $answers, float $share, float $at): array => [
            'at' => $at, 'share' => $share, 'effective' => (float) $answers, 'answers' => $answers,
        ];
        // Six short tests that came out well, and among them a paper that did not.
        $line = fn (int $paper): float => (float) Trend::of([
            $sat(15, 0.80, 0.0), $sat(15, 0.90, 1.0), $sat(15, 0.85, 2.0), $sat($paper, 0.60, 3.0),
            $sat(15, 0.88, 4.0), $sat(15, 0.82, 5.0), $sat(15, 0.86, 6.0),
        ])[3]->line;
        self::assertLessThan($line(15) - 0.05, $line(150));
        // All weights alike are none, and twice the weight is the point twice.
        $x = [0.0, 1.0, 2.0, 3.0, 4.0, 5.0];
        $y = [0.2, 0.5, 0.4, 0.9, 0.3, 0.6];
        self::assertEqualsWithDelta(Lowess::smooth($x, $y), Lowess::smooth($x, $y, array_fill(0, 6, 7.0)), 1e-12);
        $heavy = Lowess::smooth($x, $y, [1.0, 1.0, 1.0, 2.0, 1.0, 1.0], 1.0);
        self::assertGreaterThan(Lowess::smooth($x, $y, null, 1.0)[3], $heavy[3]);
    }
}
