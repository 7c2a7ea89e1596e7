<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;

/** What the cohort got of the very questions of a test, when it met them first. Shares are 0 to 1. */
#[OA\Schema(schema: 'SameQuestions')]
final readonly class SameQuestionsView
{
    public function __construct(
        #[OA\Property(description: 'Questions of which enough is known.')] public int $questions,
        #[OA\Property(description: 'Mean credit of the cohort.')] public float $cohort,
        #[OA\Property(description: 'The candidate\'s.')] public float $mine,
    ) {
    }
}
