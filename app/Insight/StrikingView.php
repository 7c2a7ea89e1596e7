<?php

declare(strict_types=1);

namespace App\Insight;

use OpenApi\Attributes as OA;

/** What ruling options out led to. */
#[OA\Schema(schema: 'Striking')]
final readonly class StrikingView
{
    public function __construct(
        #[OA\Property(description: 'In which something was ruled out.')] public int $questions,
        #[OA\Property] public int $keyStruck,
        #[OA\Property] public int $narrowedToTwo,
        #[OA\Property(description: 'Mean credit of those, 0 to 1.', nullable: true)] public ?float $accuracyNarrowed,
    ) {
    }
}
