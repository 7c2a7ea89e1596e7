<?php

declare(strict_types=1);

namespace Tests\Core\Progress;

use PHPUnit\Framework\TestCase;
use Uplandia\Core\Progress\Spot;
use Uplandia\Core\Progress\WeakSpots;

final class WeakSpotsTest extends TestCase
{
    private static function spot(int $id, float $b = 0.0, ?int $overdue = null, ?int $seen = null, int $size = 1): Spot
    {
        return new Spot(id: $id, size: $size, b: $b, c: 0.25, overdue: $overdue, seen: $seen);
    }

    /** @param  list<Spot>  $spots */
    private static function taken(int $n, array $spots, float $theta = 0.0): array
    {
        return array_column(WeakSpots::take($n, $spots, $theta), 'id');
    }

    public function test_a_topic_weighs_what_it_costs_and_a_tenth_of_its_weight(): void
    {
        // Cut .65: the target is .70. 40·.2 + 4 = 12, 30·0 + 3 = 3, 30·.1 + 3 = 6.
        $weights = WeakSpots::weights([40.0, 30.0, 30.0], [0.5, 0.9, 0.6], 0.65, true);
        self::assertEqualsWithDelta([12e6, 3e6, 6e6], $weights, 1.0);
        self::assertSame([12, 3, 6], WeakSpots::counts(21, $weights, [99, 99, 99]));
        self::assertSame([5, 5, 11], WeakSpots::counts(21, $weights, [5, 99, 99]));
    }

    public function test_with_too_little_evidence_the_blueprint_decides(): void
    {
        $weights = WeakSpots::weights([40.0, 30.0, 30.0], [0.1, 0.9, 0.9], 0.65, false);
        self::assertSame([4, 3, 3], WeakSpots::counts(10, $weights, [99, 99, 99]));
        self::assertSame([40_000_000], WeakSpots::weights([40.0], [null], 0.65, true));
    }

    public function test_what_is_longest_overdue_comes_first_and_makes_up_three_fifths_at_most(): void
    {
        $spots = [
            self::spot(1, overdue: 2, seen: 5), self::spot(2, overdue: 9, seen: 5), self::spot(3, overdue: 0, seen: 5),
            self::spot(4, overdue: 5, seen: 5), self::spot(5), self::spot(6), self::spot(7),
        ];
        self::assertSame([2, 4, 1, 5, 6], self::taken(5, $spots));
        // Three fifths of four are two, rounded down.
        self::assertSame([2, 4, 5, 6], self::taken(4, $spots));
    }

    public function test_new_ones_come_nearest_to_where_seven_in_ten_are_right(): void
    {
        // With c = ¼ and θ = 0, p = .7 at b = −ln 1.5 = −.405.
        $spots = [self::spot(1, 1.0), self::spot(2, -0.4), self::spot(3, -2.0), self::spot(4, -0.8)];
        self::assertSame([2, 4, 3], self::taken(3, $spots));
        // One who can more is asked what is harder.
        self::assertSame([1, 2, 4], self::taken(3, $spots, theta: 1.2));
    }

    public function test_then_the_least_recently_seen(): void
    {
        $spots = [
            self::spot(1, seen: 300), self::spot(2, seen: 100), self::spot(3, seen: 200), self::spot(4),
            self::spot(5, overdue: 1, seen: 50),
        ];
        self::assertSame([5, 4, 2, 3], self::taken(4, $spots));
        self::assertSame([5, 4, 2, 3, 1], self::taken(9, $spots));
    }

    public function test_a_case_is_taken_whole_or_left(): void
    {
        $spots = [self::spot(-9, overdue: 7, seen: 1, size: 4), self::spot(2, overdue: 3, seen: 1), self::spot(3)];
        self::assertSame([2, 3], self::taken(3, $spots));
        self::assertSame([-9, 3, 2], self::taken(7, $spots));
    }
}
