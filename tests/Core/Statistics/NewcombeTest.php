<?php

declare(strict_types=1);

namespace Tests\Core\Statistics;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Statistics\Newcombe;

/** Published examples: Newcombe 1998, table II, method 10. */
final class NewcombeTest extends TestCase
{
    #[TestWith([56, 70, 48, 80, 0.0524, 0.3339, true])]
    #[TestWith([9, 10, 3, 10, 0.1705, 0.8090, true])]
    #[TestWith([10, 10, 0, 20, 0.6791, 1.0000, true])]
    #[TestWith([5, 56, 0, 29, -0.0381, 0.1926, false])]
    public function test_it_is_as_published(
        int $of,
        int $n,
        int $other,
        int $otherN,
        float $low,
        float $high,
        bool $clear,
    ): void {
        $by = Newcombe::of(share: $of / $n, n: $n, other: $other / $otherN, otherN: $otherN);
        self::assertEqualsWithDelta($of / $n - $other / $otherN, $by->difference, 1e-12);
        self::assertEqualsWithDelta([$low, $high], [$by->within->low, $by->within->high], 0.00005);
        self::assertSame($clear, $by->isClear());
    }
}
