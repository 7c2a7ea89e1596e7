<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

/** A day on which tests were sat. */
#[OA\Schema(schema: 'StudyDay')]
final readonly class StudyDayView
{
    public function __construct(
        #[OA\Property(format: 'date')] public string $date,
        #[OA\Property(description: 'Active time.')] public int $ms,
        #[OA\Property] public int $answered,
    ) {
    }
}
