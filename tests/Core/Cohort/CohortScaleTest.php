<?php

declare(strict_types=1);

namespace Tests\Core\Cohort;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Cohort\CohortScale;
use Uplandia\Core\Cohort\FirstLook;
use Uplandia\Core\Cohort\Simulator;

final class CohortScaleTest extends TestCase
{
    public function test_it_finds_the_difficulties_and_the_spread_that_the_answers_came_from(): void
    {
        $simulator = new Simulator('scale');
        $looks = $chance = $author = $true = [];
        for ($i = 0; $i < 24; $i++) {
            $items[] = $simulator->item($i, 0, [-1.0, 0.0, 1.0][$i % 3], $i % 2 === 0 ? 0.25 : 0.0);
            $chance[100 + $i] = $items[$i]->c;
            // The author is wrong about each, all in the same direction.
            $author[100 + $i] = [-1.0, 0.0, 1.0][$i % 3] + 0.8;
            $true[100 + $i] = $items[$i]->b;
        }
        for ($person = 0; $person < 900; $person++) {
            $one = $simulator->person(1);
            foreach ($items as $i => $item) {
                $right = $simulator->chance->happens($simulator->probability($one, $item));
                $looks[] = new FirstLook(person: $person, item: 100 + $i, credit: (float) $right, ms: 30_000);
            }
        }
        $scale = CohortScale::of($looks, $chance, $author);
        self::assertNotNull($scale);
        $error = array_sum(array_map(
            fn (int $item): float => abs($scale->b[$item] - $true[$item]),
            array_keys($true),
        )) / 24;
        self::assertLessThan(0.2, $error);
        // One topic: θ_0 ~ N(0, 1) and δ ~ N(0, .5²) together.
        self::assertEqualsWithDelta(sqrt(1.25), $scale->deviation, 0.15);
    }

    /** @return list<list<float>> a spread of ability, and how many have answered */
    public static function spreads(): array
    {
        return [[0.6], [0.8], [1.6]];
    }

    #[DataProvider('spreads')]
    public function test_difficulties_are_on_the_scale_of_the_spread_and_the_author_cannot_stretch_it(
        float $deviation,
    ): void {
        $simulator = new Simulator("spread {$deviation}");
        $looks = $b = [];
        for ($person = 0; $person < 1200; $person++) {
            $theta = $deviation * $simulator->chance->normal();
            for ($item = 0; $item < 20; $item++) {
                $b[$item] = -1.9 + 0.2 * $item;
                $right = $simulator->chance->happens(1 / (1 + exp($b[$item] - $theta)));
                $looks[] = new FirstLook(person: $person, item: $item, credit: (float) $right, ms: 30_000);
            }
        }
        $scale = CohortScale::of($looks, array_fill(0, 20, 0.0), $b);
        self::assertEqualsWithDelta($deviation, $scale?->deviation, 0.08);
        foreach ($b as $item => $true) {
            self::assertEqualsWithDelta($true, $scale?->b[$item], 0.25);
        }
    }

    public function test_an_item_that_one_has_answered_stands_by_the_one_that_nobody_has(): void
    {
        $simulator = new Simulator('few');
        $looks = [];
        for ($person = 0; $person < 300; $person++) {
            $theta = 0.7 * $simulator->chance->normal();
            for ($item = 0; $item < 12; $item++) {
                $right = $simulator->chance->happens(1 / (1 + exp(($item - 6) / 4 - $theta)));
                $looks[] = new FirstLook(person: $person, item: $item, credit: (float) $right, ms: 30_000);
            }
        }
        $author = array_map(fn (int $item): float => ($item - 6) / 4, range(0, 11)) + [12 => 1.0];
        foreach ([0.0, 1.0] as $credit) {
            $one = [...$looks, new FirstLook(person: 0, item: 12, credit: $credit, ms: 30_000)];
            $b = CohortScale::of($one, array_fill(0, 13, 0.0), $author)?->b[12];
            // A label of 1 is the limit of few answers; a single one moves it by less than one over its information.
            self::assertEqualsWithDelta(1.0, $b, 0.8 * ($credit === 1.0 ? 1 : 0.5));
            self::assertNotEqualsWithDelta(1.0, $b, 0.05);
        }
    }

    public function test_rapid_guesses_and_items_that_are_gone_tell_nothing(): void
    {
        $looks = [];
        for ($person = 0; $person < 20; $person++) {
            $looks[] = new FirstLook(person: $person, item: 1, credit: (float) ($person % 2), ms: 30_000);
            $looks[] = new FirstLook(person: $person, item: 2, credit: 1.0, ms: 30_000);
        }
        $without = CohortScale::of($looks, [1 => 0.0], [1 => 0.0]);
        $looks[] = new FirstLook(person: 21, item: 1, credit: 0.0, ms: 2_900);
        $with = CohortScale::of($looks, [1 => 0.0], [1 => 0.0]);
        self::assertSame([1], array_keys($with->b ?? []));
        self::assertEqualsWithDelta($without?->b[1], $with?->b[1], 1e-12);
    }

    public function test_without_looks_there_is_no_scale(): void
    {
        self::assertNull(CohortScale::of([], [1 => 0.0], [1 => 0.0]));
    }
}
