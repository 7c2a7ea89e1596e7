<?php

declare(strict_types=1);

namespace Tests\Core\Progress;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Progress\Ability;
use Uplandia\Core\Progress\Response;
use Uplandia\Core\Progress\Runs;
use Uplandia\Core\Progress\Sessions;
use Uplandia\Core\Progress\Surplus;

/** When somebody studies, and when they do well. */
final class HabitsTest extends TestCase
{
    private const MINUTE = 60_000;

    public function test_what_follows_within_half_an_hour_is_the_same_session(): void
    {
        $at = fn (int $minute): int => 1_000_000_000 + $minute * self::MINUTE;
        $sessions = Sessions::of([$at(50), $at(0), $at(20), $at(81), $at(81)]);
        self::assertSame([0, 20, 50], array_map(fn (int $m): int => $sessions->minute($at($m)), [0, 20, 50]));
        // Thirty minutes are the same session, a millisecond more is not.
        self::assertSame(0, $sessions->minute($at(81)));
        self::assertSame(80, Sessions::of([$at(0), $at(30), $at(60), $at(80)])->minute($at(80)));
        self::assertSame(0, Sessions::of([$at(0), $at(30) + 1])->minute($at(30) + 1));
        self::assertSame(12, $sessions->minute($at(12) + 59_999));
        self::assertSame(0, $sessions->minute($at(-5)));
        self::assertSame(0, Sessions::of([])->minute(7));
    }

    public function test_a_surplus_is_credit_less_what_was_expected_of_it(): void
    {
        $ability = new Ability(theta: [0.0, 1.0], own: [1.0, 1.0], shared: [0.0, 0.0], common: 0.0);
        $of = fn (int $topic, float $b, float $c, float $x): float => Surplus::one(
            new Response(topic: $topic, b: $b, c: $c, x: $x),
            $ability,
        );
        self::assertEqualsWithDelta(0.5, $of(0, 0.0, 0.0, 1.0), 1e-12);
        self::assertEqualsWithDelta(-0.625, $of(0, 0.0, 0.25, 0.0), 1e-12);
        // σ(1) = 0.7310586.
        self::assertEqualsWithDelta(0.5 - 0.7310586, $of(1, 0.0, 0.0, 0.5), 1e-6);
        self::assertEqualsWithDelta(1 - 0.2689414, $of(0, 1.0, 0.0, 1.0), 1e-6);
    }

    public function test_parts_are_told_in_order_with_an_interval_and_called_only_on_enough(): void
    {
        $answers = function (int $slot, int $n, float $mean): array {
            // Half lie a fifth above, half a fifth below.
            return array_map(
                fn (int $i): array => [$slot, $mean + ($i % 2 === 0 ? 0.2 : -0.2)],
                range(1, $n),
            );
        };
        $all = Surplus::by([...$answers(9, 20, 0.3), ...$answers(7, 20, -0.3), ...$answers(8, 18, 0.3), [3, 1.0],
            ...$answers(10, 20, 0.05), ...$answers(11, 19, 0.3)]);
        self::assertSame([7, 8, 9, 10, 11], array_column($all, 'slot'));
        self::assertSame([20, 18, 20, 20, 19], array_column($all, 'n'));
        self::assertEqualsWithDelta([-0.3, 0.3, 0.3, 0.05, 0.3 - 0.2 / 19], array_column($all, 'mean'), 1e-9);
        // s² = 20 × 0.04/19, so the interval is 1.96 s/√20 wide on either side.
        $reach = 1.959964 * sqrt(0.04 / 19);
        self::assertEqualsWithDelta(0.3 - $reach, $all[2]->within->low, 1e-6);
        self::assertEqualsWithDelta(0.3 + $reach, $all[2]->within->high, 1e-6);
        self::assertSame(
            [true, false, true, false, false],
            array_map(fn (Surplus $one): bool => $one->isClear(), $all),
        );
    }

    /** @param  list<int>  $days */
    #[TestWith([[], 9, 0, 0])]
    #[TestWith([[3, 4, 5, 8], 9, 3, 1])]
    #[TestWith([[3, 4, 5, 8], 8, 3, 1])]
    #[TestWith([[3, 4, 5, 8], 10, 3, 0])]
    #[TestWith([[7, 8], 8, 2, 2])]
    #[TestWith([[1], 1, 1, 1])]
    #[TestWith([[1, 2, 4, 5, 6, 8, 9], 9, 3, 2])]
    public function test_days_in_a_row(array $days, int $today, int $longest, int $now): void
    {
        $runs = Runs::of($days, $today);
        self::assertSame([$longest, $now], [$runs->longest, $runs->now]);
    }
}
