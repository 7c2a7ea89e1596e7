<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

/** The outlook as it was told on a day. */
#[OA\Schema(schema: 'OutlookDay')]
final readonly class OutlookDayView
{
    public function __construct(
        #[OA\Property(format: 'date')] public string $date,
        #[OA\Property] public float $chance,
        #[OA\Property] public float $low,
        #[OA\Property] public float $high,
        #[OA\Property] public int $responses,
    ) {
    }
}
