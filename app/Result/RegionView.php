<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;

/** A region of a picture, in shares of its width and height (a circle's radius: of its width). */
#[OA\Schema(schema: 'Region')]
final readonly class RegionView
{
    /**
     * @param  list<float>|null  $circle  x, y, radius
     * @param  list<float>|null  $rectangle  left, top, right, bottom
     * @param  list<list<float>>|null  $polygon  corners
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'), nullable: true)] public ?array $circle,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'number'), nullable: true)] public ?array $rectangle,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')),
                nullable: true,
            ),
        ]
        public ?array $polygon,
    ) {
    }

    /** @param  array<string, mixed>  $region */
    public static function of(array $region): self
    {
        return new self($region['circle'] ?? null, $region['rectangle'] ?? null, $region['polygon'] ?? null);
    }
}
