<?php

declare(strict_types=1);

namespace Tests\Core\Question;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Question\InvalidQuestion;
use Uplandia\Core\Question\Point;
use Uplandia\Core\Question\Target;

final class TargetTest extends TestCase
{
    public function test_a_circle_is_round_on_the_picture_whatever_its_aspect(): void
    {
        // Twice as wide as high: a radius of .1 of the width reaches .2 of the height.
        $circle = Target::circle(new Point(0.5, 0.5), 0.1, 0.5);

        self::assertTrue($circle->contains(new Point(0.6, 0.5)));
        self::assertTrue($circle->contains(new Point(0.5, 0.7)));
        self::assertFalse($circle->contains(new Point(0.5, 0.71)));
        self::assertFalse($circle->contains(new Point(0.59, 0.63)));
    }

    /** @return iterable<string, array{Target, array{float, float, float, float}}> */
    public static function shapes(): iterable
    {
        yield 'a circle' => [Target::circle(new Point(0.5, 0.5), 0.1, 0.5), [0.4, 0.3, 0.6, 0.7]];
        yield 'a circle at the edge' => [Target::circle(new Point(0.95, 0.05), 0.1), [0.85, 0, 1, 0.15]];
        yield 'a rectangle' => [Target::rectangle(new Point(0.1, 0.2), new Point(0.3, 0.4)), [0.1, 0.2, 0.3, 0.4]];
        yield 'a polygon' => [
            Target::polygon([new Point(0.2, 0.9), new Point(0.5, 0.1), new Point(0.8, 0.6)]),
            [0.2, 0.1, 0.8, 0.9],
        ];
    }

    /** @param  array{float, float, float, float}  $expected */
    #[DataProvider('shapes')]
    public function test_bounds_enclose_the_shape_and_stay_on_the_picture(Target $target, array $expected): void
    {
        [$from, $to] = $target->bounds();

        self::assertEqualsWithDelta($expected, [$from->x, $from->y, $to->x, $to->y], 1e-9);
    }

    public function test_edges_and_corners_belong_to_a_polygon_and_its_notch_does_not(): void
    {
        $notched = Target::polygon([
            new Point(0, 0),
            new Point(1, 0),
            new Point(1, 1),
            new Point(0.5, 0.5),
            new Point(0, 1),
        ]);

        foreach ([[0, 0], [1, 1], [0.5, 0], [0.5, 0.5], [0.75, 0.75]] as [$x, $y]) {
            self::assertTrue($notched->contains(new Point((float) $x, (float) $y)));
        }
        self::assertFalse($notched->contains(new Point(0.5, 0.8)));
    }

    public function test_shapes_that_enclose_nothing_are_refused(): void
    {
        foreach (
            [
                fn () => Target::circle(new Point(0.5, 0.5), 0),
                fn () => Target::circle(new Point(0.5, 0.5), 0.1, 0),
                fn () => Target::polygon([new Point(0, 0), new Point(1, 1)]),
            ] as $make
        ) {
            try {
                $make();
                self::fail('It was taken.');
            } catch (InvalidQuestion $refused) {
                self::assertStringContainsString('needs', $refused->getMessage());
            }
        }
    }
}
