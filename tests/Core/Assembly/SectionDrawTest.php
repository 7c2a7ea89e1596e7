<?php

declare(strict_types=1);

namespace Tests\Core\Assembly;

use PHPUnit\Framework\TestCase;
use Uplandia\Core\Assembly\Section;
use Uplandia\Core\Assembly\SectionDraw;
use Uplandia\Core\Assembly\Seed;
use Uplandia\Core\Marking\MarkScheme;

final class SectionDrawTest extends TestCase
{
    /** @param  array<string, int>  $units */
    private function section(int $questions, array $units = []): Section
    {
        return new Section(
            code: 'days',
            name: 'Days',
            questions: $questions,
            scheme: new MarkScheme(1),
            kinds: [],
            units: $units,
        );
    }

    /**
     * @param  array<string, int>  $units
     * @param  array<string, list<int>>  $sizes
     * @param  array<string, array<int, int>>  $seen
     * @return array<string, list<int>>|null
     */
    private function units(int $questions, array $units, array $sizes, array $seen = [], string $seed = 's'): ?array
    {
        return (new SectionDraw($this->section($questions, $units), (new Seed($seed))->stream('draw')))->units(
            $sizes,
            $seen,
        );
    }

    public function test_topics_of_a_section_are_given_by_their_weights(): void
    {
        self::assertSame([6, 5, 4, 3, 2], SectionDraw::byTopic($this->section(20), ['30', '25', '20', '15', '10']));
    }

    public function test_so_many_of_each_sort_and_together_exactly_so_many_questions(): void
    {
        $sizes = ['case' => [2, 3, 4, 4, 5], 'passage' => [2, 3, 6], 'series' => [3, 4]];
        for ($i = 0; $i < 60; $i++) {
            $drawn = $this->units(13, ['case' => 2, 'passage' => 1, 'series' => 1], $sizes, seed: "seed {$i}");
            self::assertNotNull($drawn);
            self::assertSame([2, 1, 1], array_values(array_map(count(...), $drawn)));
            $questions = 0;
            foreach ($drawn as $sort => $places) {
                self::assertCount(count($places), array_unique($places));
                foreach ($places as $place) {
                    $questions += $sizes[$sort][$place];
                }
            }
            self::assertSame(13, $questions);
        }
    }

    public function test_what_cannot_be_made_is_told(): void
    {
        self::assertNull($this->units(9, ['case' => 2], ['case' => [2, 4, 6]]));
        self::assertNull($this->units(4, ['case' => 2], ['case' => [4]]));
        self::assertNull($this->units(4, ['series' => 1], ['case' => [4]]));
        self::assertSame(['case' => [1]], $this->units(4, ['case' => 1], ['case' => [3, 4, 5]]));
    }

    public function test_new_ones_come_first_then_the_least_recently_seen(): void
    {
        for ($i = 0; $i < 20; $i++) {
            $drawn = $this->units(
                6,
                ['case' => 2],
                ['case' => [3, 3, 3, 3]],
                ['case' => [0 => 50, 2 => 40, 3 => 60]],
                "s{$i}",
            );
            self::assertSame(['case' => [1, 2]], $drawn);
        }
    }

    public function test_a_new_one_is_left_where_it_would_spoil_the_count(): void
    {
        // The new one holds 5: with it, two of them cannot hold 6.
        self::assertSame(
            ['case' => [1, 2]],
            $this->units(6, ['case' => 2], ['case' => [5, 3, 3]], ['case' => [1 => 10, 2 => 20]]),
        );
    }

    public function test_no_unit_is_counted_on_twice(): void
    {
        // Two of 3 would make 6, but there is one.
        self::assertNull($this->units(6, ['case' => 2], ['case' => [3, 4]]));
        self::assertSame(
            ['case' => [1, 2]],
            $this->units(6, ['case' => 2], ['case' => [3, 4, 2]], ['case' => [1 => 10, 2 => 20]]),
        );
    }

    public function test_alone_they_are_drawn_new_ones_first(): void
    {
        $draw = new SectionDraw($this->section(2), (new Seed('x'))->stream('draw'));
        self::assertSame([1, 0], $draw->alone(3, [0 => 5, 2 => 9], 2));
        self::assertSame([], $draw->alone(1, [], 2));
    }
}
