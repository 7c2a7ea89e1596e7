<?php

declare(strict_types=1);

namespace App\Revisit;

use OpenApi\Attributes as OA;

/** How many revisits fall on a day. */
#[OA\Schema(schema: 'DueDay')]
final readonly class DueDayView
{
    public function __construct(
        #[OA\Property(format: 'date')] public string $date,
        #[OA\Property] public int $n,
    ) {
    }
}
