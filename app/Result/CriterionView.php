<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;

/** A point of a rubric. */
#[OA\Schema(schema: 'Criterion')]
final readonly class CriterionView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(description: 'Markdown.')] public string $text,
        #[OA\Property(description: 'The most it can give.')] public string $points,
        #[OA\Property(description: 'Markdown.')] public string $why,
    ) {
    }
}
