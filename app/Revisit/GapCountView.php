<?php

declare(strict_types=1);

namespace App\Revisit;

use OpenApi\Attributes as OA;

/** How many gaps share something. */
#[OA\Schema(schema: 'GapCount')]
final readonly class GapCountView
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public int $n,
    ) {
    }
}
