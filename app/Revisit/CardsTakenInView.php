<?php

declare(strict_types=1);

namespace App\Revisit;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'CardsTakenIn')]
final readonly class CardsTakenInView
{
    public function __construct(
        #[OA\Property(description: 'New ones.')] public int $added,
        #[OA\Property(description: 'That were there already, with the same two sides.')] public int $known,
    ) {
    }
}
