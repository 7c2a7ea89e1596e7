<?php

declare(strict_types=1);

namespace App\Plan;

use OpenApi\Attributes as OA;

/** What was done this week, Monday to today, against what was planned for it. */
#[OA\Schema(schema: 'ThisWeek')]
final readonly class ThisWeekView
{
    public function __construct(
        #[OA\Property(format: 'date', description: 'Its Monday.')] public string $from,
        #[OA\Property(description: 'Planned, those of a rehearsal left out.')] public int $questions,
        #[OA\Property(description: 'Answered, those of rehearsals and papers left out.')] public int $answered,
        #[OA\Property(description: 'Planned.')] public int $ms,
        #[OA\Property(description: 'Active time, all tests.')] public int $spentMs,
        #[OA\Property(description: 'One was planned.')] public bool $rehearsal,
        #[OA\Property(description: 'Whole papers and rehearsals handed in.')] public int $rehearsed,
    ) {
    }
}
