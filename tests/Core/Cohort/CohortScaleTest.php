<?php

declare(strict_types=1);

namespace Tests\Core\Cohort;

use PHPUnit\Framework\TestCase;
use Uplandia\Core\Cohort\CohortScale;
use Uplandia\Core\Cohort\Look;
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
                $looks[] = new Look(person: $person, item: 100 + $i, credit: (float) $right, ms: 30_000);
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

    public function test_rapid_guesses_and_items_that_are_gone_tell_nothing(): void
    {
        $looks = [];
        for ($person = 0; $person < 20; $person++) {
            $looks[] = new Look(person: $person, item: 1, credit: (float) ($person % 2), ms: 30_000);
            $looks[] = new Look(person: $person, item: 2, credit: 1.0, ms: 30_000);
        }
        $without = CohortScale::of($looks, [1 => 0.0], [1 => 0.0]);
        $looks[] = new Look(person: 21, item: 1, credit: 0.0, ms: 2_900);
        $with = CohortScale::of($looks, [1 => 0.0], [1 => 0.0]);
        self::assertSame([1], array_keys($with->b ?? []));
        self::assertEqualsWithDelta($without?->b[1], $with?->b[1], 1e-12);
    }

    public function test_without_looks_there_is_no_scale(): void
    {
        self::assertNull(CohortScale::of([], [1 => 0.0], [1 => 0.0]));
    }
}
