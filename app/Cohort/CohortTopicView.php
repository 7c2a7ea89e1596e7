<?php

declare(strict_types=1);

namespace App\Cohort;

use OpenApi\Attributes as OA;

/** A topic as the cohort and the candidate find it. Shares are 0 to 1. */
#[OA\Schema(schema: 'CohortTopic')]
final readonly class CohortTopicView
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(nullable: true, description: 'One\'s own mean credit in the latest whole exam; null: none was sat.')]
        public ?float $mine,
        #[OA\Property(nullable: true, description: 'Mean of the others\'; null: too few.')] public ?float $others,
        #[OA\Property(nullable: true, description: '0 to 1; null: too few others, or no exam was sat.')]
        public ?float $percentile,
        #[OA\Property(description: 'First looks at questions that enough others have met.')] public int $questions,
        #[OA\Property(nullable: true, description: 'One\'s own mean credit on them; null: there are none.')]
        public ?float $mineSame,
        #[OA\Property(nullable: true, description: 'The cohort\'s on the very same.')] public ?float $othersSame,
    ) {
    }
}
