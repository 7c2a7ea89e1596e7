<?php

declare(strict_types=1);

namespace Tests\Core\Progress;

use PHPUnit\Framework\TestCase;
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
            fn (int $i): array => ['at' => (float) $i, 'credit' => 8.0, 'n' => 10],
            range(1, $n),
        );
        $four = Trend::of($sittings(4));
        self::assertSame([0.8, null], [$four[0]->share, $four[3]->line]);
        // Wilson 95 %: 8 of 10 → 0.490–0.943.
        self::assertEqualsWithDelta([0.490, 0.943], [$four[0]->band->low, $four[0]->band->high], 0.0005);
        $five = Trend::of($sittings(5));
        self::assertEqualsWithDelta(0.8, $five[4]->line, 1e-9);
        self::assertSame([], Trend::of([]));
    }
}
