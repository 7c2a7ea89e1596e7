<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Uplandia\Core\Chance;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\Verdict;

/** Point on a picture: hit every target, with no more points than targets. */
final readonly class Picture extends Question
{
    /** So often a made-up person points until they hit. */
    private const TRIES = 400;

    /**
     * @param  array<array-key, Target>  $targets  by id, at least one
     * @param  Rule  $rule  `hits` (share of targets hit) or `all_or_nothing`
     * @param  array<array-key, Target>  $decoys  by id: other places that the reasons speak of
     *
     * @throws InvalidQuestion
     */
    public function __construct(public array $targets, public Rule $rule = Rule::Hits, public array $decoys = [])
    {
        if ($targets === []) {
            throw InvalidQuestion::because('A picture question needs at least one target.');
        }
        if (! in_array($rule, [Rule::Hits, Rule::AllOrNothing], true)) {
            throw InvalidQuestion::because("The rule \"{$rule->value}\" does not fit a picture question.");
        }
    }

    public static function read(Kind $kind, Fields $shown, Fields $answer): self
    {
        return new self(
            self::regions($answer, 'targets'),
            $answer->rule(Rule::Hits),
            self::regions($answer, 'decoys'),
        );
    }

    public function kind(): Kind
    {
        return Kind::Picture;
    }

    protected function credit(array $response, ?array $rubricMarks): Credit
    {
        $points = Reading::points($response);
        $targets = count($this->targets);
        if ($points === []) {
            return Credit::leftBlank();
        }
        if (count($points) > $targets) {
            return Credit::nothing();
        }
        $hit = count($this->targetsHit($points));

        return $this->rule === Rule::AllOrNothing
            ? Credit::when($hit === $targets)
            : Credit::ratio($hit, $targets);
    }

    protected function judge(array $response): array
    {
        $points = Reading::points($response);
        $hit = $this->targetsHit($points);
        $verdicts = [];
        foreach (array_keys($this->targets) as $id) {
            $verdicts[(string) $id] = Verdict::between(true, isset($hit[$id]));
        }
        foreach ($this->decoys as $id => $region) {
            $pointed = array_filter($points, $region->contains(...)) !== [];
            $verdicts[(string) $id] = Verdict::between(false, $pointed);
        }

        return $verdicts;
    }

    public function right(Chance $chance): array
    {
        return ['points' => array_map(
            fn (Target $target): array => self::inside($target, $chance),
            array_values($this->targets),
        )];
    }

    public function wrong(Chance $chance, array $slips = []): array
    {
        return ['points' => [self::outside(array_values($this->targets), $chance)]];
    }

    /**
     * The targets that different points can be matched with, as many as possible, so that one point in an overlap does
     * not hit twice (augmenting paths, Kuhn 1955).
     *
     * @param  list<Point>  $points
     * @return array<array-key, int> target => point
     */
    private function targetsHit(array $points): array
    {
        $pointOf = [];
        foreach (array_keys($points) as $point) {
            $tried = [];
            $this->place(points: $points, point: $point, pointOf: $pointOf, tried: $tried);
        }

        return $pointOf;
    }

    /**
     * @param  list<Point>  $points
     * @param  array<array-key, int>  $pointOf  target => point
     * @param  array<array-key, true>  $tried
     */
    private function place(array $points, int $point, array &$pointOf, array &$tried): bool
    {
        foreach ($this->targets as $target => $region) {
            if (isset($tried[$target]) || ! $region->contains($points[$point])) {
                continue;
            }
            $tried[$target] = true;
            if (
                ! isset($pointOf[$target]) ||
                $this->place(
                    points: $points,
                    point: $pointOf[$target],
                    pointOf: $pointOf,
                    tried: $tried,
                )
            ) {
                $pointOf[$target] = $point;

                return true;
            }
        }

        return false;
    }

    /** @return array<array-key, Target> by id where they have one */
    private static function regions(Fields $answer, string $name): array
    {
        $regions = [];
        foreach ($answer->each($name) as $place => $region) {
            $regions[$region->has('id') ? $region->text('id') : $place] = self::target($region);
        }

        return $regions;
    }

    private static function target(Fields $target): Target
    {
        $points = static fn (string $shape, int $numbers): array => count($target->floats($shape)) === $numbers
            ? $target->floats($shape)
            : throw InvalidQuestion::because("A {$shape} needs {$numbers} numbers.");
        if ($target->has('circle')) {
            [$x, $y, $radius] = $points('circle', 3);

            return Target::circle(
                new Point($x, $y),
                $radius,
                $target->has('aspect') ? $target->exact('aspect')->toFloat() : 1.0,
            );
        }
        if ($target->has('rectangle')) {
            [$left, $top, $right, $bottom] = $points('rectangle', 4);

            return Target::rectangle(new Point($left, $top), new Point($right, $bottom));
        }

        return Target::polygon(
            array_map(
                static fn (array $corner): Point => count($corner) === 2
                    ? new Point($corner[0], $corner[1])
                    : throw InvalidQuestion::because('A corner needs two numbers.'),
                $target->pairs('polygon'),
            ),
        );
    }

    /** @return array{x: float, y: float} */
    private static function inside(Target $target, Chance $chance): array
    {
        [$from, $to] = $target->bounds();
        for ($i = 0; $i < self::TRIES; $i++) {
            $point = new Point(
                round($from->x + ($to->x - $from->x) * $chance->uniform(), 4),
                round($from->y + ($to->y - $from->y) * $chance->uniform(), 4),
            );
            if ($target->contains($point)) {
                break;
            }
        }

        return ['x' => $point->x, 'y' => $point->y];
    }

    /**
     * @param  list<Target>  $targets
     * @return array{x: float, y: float}
     */
    private static function outside(array $targets, Chance $chance): array
    {
        for ($i = 0; $i < self::TRIES; $i++) {
            $point = new Point(round($chance->uniform(), 4), round($chance->uniform(), 4));
            $hit = array_filter($targets, static fn (Target $target): bool => $target->contains($point));
            if ($hit === []) {
                break;
            }
        }

        return ['x' => $point->x, 'y' => $point->y];
    }
}
