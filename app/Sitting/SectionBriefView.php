<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;

/** A section of the exam as a briefing tells of it. */
#[OA\Schema(schema: 'SectionBrief')]
final readonly class SectionBriefView
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public int $questions,
        #[OA\Property(description: 'For each question, exact as a decimal.')] public string $marks,
        #[
            OA\Property(
                description: 'Share of the marks that a wrong answer costs, such as 1/3; null: none.',
                nullable: true,
            ),
        ]
        public ?string $penalty,
    ) {
    }
}
