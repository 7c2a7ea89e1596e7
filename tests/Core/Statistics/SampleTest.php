<?php

declare(strict_types=1);

namespace Tests\Core\Statistics;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Statistics\Sample;
use Uplandia\Core\Statistics\Wilson;

final class SampleTest extends TestCase
{
    public function test_mean_and_variance(): void
    {
        self::assertSame(3.0, Sample::mean([1.0, 2.0, 6.0]));
        self::assertSame(7.0, Sample::variance([1.0, 2.0, 6.0]));
        self::assertNull(Sample::mean([]));
        self::assertNull(Sample::variance([4.0]));
    }

    #[TestWith([0.0, 1.0])]
    #[TestWith([0.25, 1.75])]
    #[TestWith([0.5, 2.5])]
    #[TestWith([0.9, 3.7])]
    #[TestWith([1.0, 4.0])]
    public function test_quantiles_lie_between_the_sorted_values(float $share, float $value): void
    {
        self::assertEqualsWithDelta($value, Sample::quantile([4, 1, 3, 2], $share), 1e-12);
    }

    public function test_a_quantile_of_nothing_is_nothing_and_of_one_is_it(): void
    {
        self::assertNull(Sample::quantile([], 0.5));
        self::assertSame(7.0, Sample::quantile([7], 0.9));
    }

    public function test_correlation_of_lines_clouds_and_constants(): void
    {
        self::assertEqualsWithDelta(1.0, Sample::correlation([1, 2, 3], [10, 20, 30]), 1e-12);
        self::assertEqualsWithDelta(-1.0, Sample::correlation([1, 2, 3], [3, 2, 1]), 1e-12);
        self::assertEqualsWithDelta(0.0, Sample::correlation([1, 2, 3, 4], [1, -1, -1, 1]), 1e-12);
        self::assertEqualsWithDelta(-1.0, Sample::correlation([1, 2], [5, 3]), 1e-12);
        self::assertNull(Sample::correlation([1, 1, 1], [1, 2, 3]));
        self::assertNull(Sample::correlation([1], [1]));
    }

    public function test_wilson_stays_within_bounds_holds_the_share_and_narrows_with_n(): void
    {
        $before = 1.0;
        foreach ([1, 5, 40, 1000] as $n) {
            for ($k = 0; $k <= $n; $k += max(1, intdiv($n, 20))) {
                $interval = Wilson::interval($k, $n);
                self::assertTrue($interval->low >= 0 && $interval->high <= 1);
                self::assertGreaterThanOrEqual($interval->low - 1e-12, $k / $n);
                self::assertLessThanOrEqual($interval->high + 1e-12, $k / $n);
            }
            $width = Wilson::interval($n / 2, $n)->high - Wilson::interval($n / 2, $n)->low;
            self::assertLessThan($before, $width);
            $before = $width;
        }
    }
}
