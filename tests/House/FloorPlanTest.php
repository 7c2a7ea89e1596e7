<?php

declare(strict_types=1);

namespace Tests\House;

use PHPUnit\Framework\TestCase;

/** Rooms form a floor plan without circles: nothing below imports what is above. */
final class FloorPlanTest extends TestCase
{
    /** From the ground up. What stands in one line does not know of each other. */
    private const CORE = [
        ['Chance', 'Exact', 'Refused', 'Shown', 'Statistics'],
        ['Marking'],
        ['Question'],
        ['Assembly'],
        ['Sitting'],
        ['Result'],
        ['Cohort'],
        ['Progress', 'Revisit', 'Plan'],
    ];

    private const APP = [
        ['Http', 'Clock', 'Database'],
        ['Account'],
        ['Question'],
        ['Media'],
        ['Handbook'],
        ['Assembly'],
        ['Sitting'],
        ['Library', 'Result'],
        ['Cohort'],
        ['Progress', 'Revisit'],
        ['Plan'],
        ['Today', 'MyData'],
        ['Workshop'],
        ['Demo'],
        ['Bench'],
        ['Console', 'Providers'],
    ];

    /** In the front end a screen is put together of what the rooms below it show. */
    private const FEATURES = [
        ['library', 'question'],
        ['result'],
        ['sitting'],
        ['account'],
        ['today'],
        ['assembly', 'handbook', 'mydata', 'pieces', 'plan', 'progress', 'revisit'],
    ];

    public function test_the_core_has_no_circles(): void
    {
        self::assertSame([], $this->upwards('core', '/Uplandia\\\\Core\\\\(\w+)/', self::CORE));
    }

    public function test_the_app_has_no_circles(): void
    {
        self::assertSame([], $this->upwards('app', '/\bApp\\\\(\w+)/', self::APP));
    }

    public function test_the_front_end_has_no_circles(): void
    {
        $pattern = "/from '\.\.\/(?:\.\.\/)?(\w+)\//";

        self::assertSame([], $this->upwards('resources/js/features', $pattern, self::FEATURES));
    }

    public function test_a_plan_that_is_broken_is_noticed(): void
    {
        $upsideDown = array_reverse(self::CORE);

        self::assertNotSame([], $this->upwards('core', '/Uplandia\\\\Core\\\\(\w+)/', $upsideDown));
    }

    /**
     * @param  list<list<string>>  $plan
     * @return list<string> every file that knows of a room above its own
     */
    private function upwards(string $root, string $pattern, array $plan): array
    {
        $floors = [];
        foreach ($plan as $floor => $rooms) {
            $floors += array_fill_keys($rooms, $floor);
        }
        $found = [];
        $seen = [];
        foreach (SourceFiles::under($root) as $path => $code) {
            $room = preg_replace('/\.\w+$/', '', explode('/', $path)[0]);
            $seen[$room] = true;
            self::assertArrayHasKey($room, $floors, "{$root}/{$path} stands in no room of the plan.");
            preg_match_all($pattern, $code, $named);
            foreach (array_unique($named[1]) as $other) {
                if ($other !== $room && isset($floors[$other]) && $floors[$other] >= $floors[$room]) {
                    $found[] = "{$root}/{$path} knows of {$other}";
                }
            }
        }
        self::assertEqualsCanonicalizing(array_keys($floors), array_keys($seen), 'A room of the plan is missing.');

        return $found;
    }
}
