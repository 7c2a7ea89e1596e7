<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'BestTest')]
final readonly class BestTestView
{
    public function __construct(
        #[OA\Property] public string $sitting,
        #[OA\Property] public string $title,
        #[OA\Property] public int $at,
        #[OA\Property(description: '0 to 1.')] public float $share,
        #[OA\Property] public int $questions,
    ) {
    }
}
