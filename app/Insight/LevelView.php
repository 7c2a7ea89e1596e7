<?php

declare(strict_types=1);

namespace App\Insight;

use OpenApi\Attributes as OA;

/** How one level of sureness turned out. Shares are 0 to 1. */
#[OA\Schema(schema: 'SurenessLevel')]
final readonly class LevelView
{
    public function __construct(
        #[OA\Property(enum: ['sure', 'leaning', 'guess'])] public string $sureness,
        #[OA\Property] public int $n,
        #[OA\Property(nullable: true)] public ?float $stated,
        #[OA\Property(nullable: true)] public ?float $accuracy,
        #[OA\Property(description: 'Wilson 95 %.')] public float $low,
        #[OA\Property(description: 'Wilson 95 %.')] public float $high,
        #[OA\Property(enum: ['over_confident', 'under_confident', 'neither'])] public string $leaning,
    ) {
    }
}
