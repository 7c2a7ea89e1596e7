<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;

/** How many questions some choices leave, in whole units, and what to do when the count asked for cannot be made. */
#[OA\Schema(schema: 'Count')]
final readonly class CountView
{
    public function __construct(
        #[OA\Property] public int $available,
        #[
            OA\Property(nullable: true, description: 'Why the count cannot be made, and the ways out; null: it can.'),
        ]
        public ?string $shortfall,
        #[OA\Property(nullable: true, description: 'The nearest smaller count that can be made.')] public ?int $below,
        #[OA\Property(nullable: true, description: 'The nearest larger count that can be made.')] public ?int $above,
        #[
            OA\Property(
                nullable: true,
                description: 'What is left out because a running sitting holds it; null: nothing.',
            ),
        ]
        public ?string $leftOut,
        #[
            OA\Property(description: 'Time limit that would be set if none is given, in minutes, before extra time.'),
        ]
        public int $minutes,
    ) {
    }
}
