<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Sitting\Sureness;

#[OA\Schema(schema: 'ReviewItem')]
final readonly class ReviewItemView
{
    public function __construct(
        #[OA\Property] public int $position,
        #[OA\Property(enum: Outcome::class)] public Outcome $outcome,
        #[OA\Property] public string $topic,
        #[OA\Property] public string $subtopic,
        #[OA\Property(description: 'The stem\'s beginning, without Markdown.')] public string $excerpt,
        #[OA\Property] public bool $flagged,
        #[OA\Property(enum: Sureness::class, nullable: true)] public ?Sureness $sureness,
        #[OA\Property] public int $activeMs,
    ) {
    }
}
