<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

/** How much of a part of the bank one has met, and how much of it went right at the latest look. */
#[OA\Schema(schema: 'Coverage')]
final readonly class CoverageView
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public int $all,
        #[OA\Property] public int $seen,
        #[OA\Property(description: 'At the latest look.')] public int $right,
    ) {
    }
}
