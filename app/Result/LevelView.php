<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;
use Uplandia\Core\Result\Leaning;
use Uplandia\Core\Result\Level;
use Uplandia\Core\Sitting\Sureness;

/** How one level of sureness turned out. Shares are 0 to 1. */
#[OA\Schema(schema: 'SurenessLevel')]
final readonly class LevelView
{
    public function __construct(
        #[OA\Property(enum: Sureness::class)] public Sureness $sureness,
        #[OA\Property] public int $n,
        #[OA\Property(nullable: true)] public ?float $stated,
        #[OA\Property(nullable: true)] public ?float $accuracy,
        #[OA\Property(description: 'Wilson 95 %.')] public float $low,
        #[OA\Property(description: 'Wilson 95 %.')] public float $high,
        #[OA\Property(enum: Leaning::class)] public Leaning $leaning,
    ) {
    }

    public static function of(Level $level): self
    {
        return new self(
            sureness: $level->sureness,
            n: $level->n,
            stated: $level->stated,
            accuracy: $level->accuracy,
            low: $level->interval->low,
            high: $level->interval->high,
            leaning: $level->leaning,
        );
    }
}
