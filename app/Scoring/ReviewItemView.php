<?php

declare(strict_types=1);

namespace App\Scoring;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ReviewItem')]
final readonly class ReviewItemView
{
    public function __construct(
        #[OA\Property] public int $position,
        #[OA\Property(enum: ['right', 'partly', 'missed', 'left_blank', 'pending'])] public string $outcome,
        #[OA\Property] public string $topic,
        #[OA\Property] public string $subtopic,
        #[OA\Property(description: 'The stem\'s beginning, without Markdown.')] public string $excerpt,
        #[OA\Property] public bool $flagged,
        #[OA\Property(enum: ['sure', 'leaning', 'guess'], nullable: true)] public ?string $sureness,
        #[OA\Property] public int $activeMs,
    ) {
    }
}
