<?php

declare(strict_types=1);

namespace App\Result;

/** A region of a picture, in shares of its width and height (a circle's radius: of its width). */
final readonly class RegionView
{
    /**
     * @param  list<float>|null  $circle  x, y, radius
     * @param  list<float>|null  $rectangle  left, top, right, bottom
     * @param  list<list<float>>|null  $polygon  corners
     */
    public function __construct(
        public ?array $circle,
        public ?array $rectangle,
        public ?array $polygon,
    ) {
    }

    /** @param  array<string, mixed>  $region */
    public static function of(array $region): self
    {
        return new self($region['circle'] ?? null, $region['rectangle'] ?? null, $region['polygon'] ?? null);
    }
}
