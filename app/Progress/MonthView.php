<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;
use Uplandia\Core\Result\Leaning;

/** How well one knew what one knew, in a month. */
#[OA\Schema(schema: 'CalibrationMonth')]
final readonly class MonthView
{
    public function __construct(
        #[OA\Property(description: 'Such as 2026-03.')] public string $month,
        #[OA\Property] public int $n,
        #[OA\Property(description: 'Mean stated value less mean credit.')] public float $off,
        #[OA\Property(nullable: true, description: 'Of it, 95 %.')] public ?float $low,
        #[OA\Property(nullable: true)] public ?float $high,
        #[OA\Property(enum: Leaning::class)] public Leaning $leaning,
    ) {
    }
}
