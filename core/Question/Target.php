<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

/** A region of a picture. Its edge belongs to it. */
final readonly class Target
{
    /** Shares are stored with at most six decimals; a point this close to an edge lies on it. */
    private const ON_EDGE = 1e-9;

    /** @param  non-empty-list<Point>  $corners */
    private function __construct(private array $corners, private ?float $radius, private float $aspect)
    {
    }

    /**
     * A circle. Its radius is a share of the picture's width, so the picture's aspect (height / width) is wanted.
     *
     * @throws InvalidQuestion
     */
    public static function circle(Point $centre, float $radius, float $aspect = 1.0): self
    {
        if (! ($radius > 0) || ! ($aspect > 0)) {
            throw InvalidQuestion::because('A circle needs a radius, and a picture an aspect, of more than 0.');
        }

        return new self([$centre], $radius, $aspect);
    }

    /** A rectangle from its top left corner to its bottom right one. */
    public static function rectangle(Point $from, Point $to): self
    {
        return new self([$from, new Point($to->x, $from->y), $to, new Point($from->x, $to->y)], null, 1.0);
    }

    /**
     * A polygon of three corners or more, in order round it.
     *
     * @param  list<Point>  $corners
     *
     * @throws InvalidQuestion
     */
    public static function polygon(array $corners): self
    {
        if (count($corners) < 3) {
            throw InvalidQuestion::because('A polygon needs at least three corners.');
        }

        return new self($corners, null, 1.0);
    }

    public function contains(Point $point): bool
    {
        return $this->radius === null ? $this->polygonContains($point) : $this->circleContains($point, $this->radius);
    }

    /** @return array{Point, Point} the top left and bottom right corners of what encloses it, within the picture */
    public function bounds(): array
    {
        $pad = $this->radius ?? 0.0;
        $xs = array_column($this->corners, 'x');
        $ys = array_column($this->corners, 'y');

        return [
            new Point(max(0.0, (float) min($xs) - $pad), max(0.0, (float) min($ys) - $pad / $this->aspect)),
            new Point(min(1.0, (float) max($xs) + $pad), min(1.0, (float) max($ys) + $pad / $this->aspect)),
        ];
    }

    private function circleContains(Point $point, float $radius): bool
    {
        $dx = $point->x - $this->corners[0]->x;
        $dy = ($point->y - $this->corners[0]->y) * $this->aspect;

        return hypot($dx, $dy) <= $radius + self::ON_EDGE;
    }

    /** Even–odd rule, after a check of every edge. */
    private function polygonContains(Point $point): bool
    {
        $inside = false;
        $a = $this->corners[count($this->corners) - 1];
        foreach ($this->corners as $b) {
            if ($this->liesOn($point, $a, $b)) {
                return true;
            }
            if (
                $b->y > $point->y !== $a->y > $point->y &&
                $point->x < (($a->x - $b->x) * ($point->y - $b->y)) / ($a->y - $b->y) + $b->x
            ) {
                $inside = ! $inside;
            }
            $a = $b;
        }

        return $inside;
    }

    private function liesOn(Point $point, Point $a, Point $b): bool
    {
        $cross = ($b->x - $a->x) * ($point->y - $a->y) - ($b->y - $a->y) * ($point->x - $a->x);

        return abs($cross) <= self::ON_EDGE &&
            $point->x >= min($a->x, $b->x) - self::ON_EDGE &&
            $point->x <= max($a->x, $b->x) + self::ON_EDGE &&
            $point->y >= min($a->y, $b->y) - self::ON_EDGE &&
            $point->y <= max($a->y, $b->y) + self::ON_EDGE;
    }
}
