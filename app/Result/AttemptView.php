<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;

/** One handed-in sitting of a test by its candidate. */
#[OA\Schema(schema: 'Attempt')]
final readonly class AttemptView
{
    public function __construct(
        #[OA\Property] public string $sitting,
        #[OA\Property] public int $endedAt,
        #[OA\Property(nullable: true, description: 'Of all marks, 0 to 1; may be negative.')] public ?float $share,
        #[OA\Property] public int $answered,
        #[OA\Property] public int $questions,
        #[OA\Property] public int $activeMs,
    ) {
    }
}
