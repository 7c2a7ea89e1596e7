<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;

/** How many questions some choices leave, and what to do when they are too few. */
#[OA\Schema(schema: 'Count')]
final readonly class CountView
{
    public function __construct(
        #[OA\Property] public int $available,
        #[OA\Property(nullable: true)] public ?string $shortfall,
        #[OA\Property(description: 'Time limit that would be set if none is given, in minutes, before extra time.')] public int $minutes,
    ) {
    }
}
