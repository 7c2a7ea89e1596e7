<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;

/** How the cohort answered a question at first sight. There is none before enough have. */
#[OA\Schema(schema: 'CohortAnswers')]
final readonly class CohortAnswersView
{
    #[
        OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'number'),
            description: 'Option id: share of those who chose one.',
        ),
    ]
    public object $options;

    /** @param  array<string, float>  $options */
    public function __construct(
        #[OA\Property(description: 'How many answers it rests on.')] public int $n,
        #[OA\Property(description: 'Mean credit, from 0 to 1.')] public float $facility,
        #[OA\Property(description: 'Median time on it.', nullable: true)] public ?int $medianMs,
        array $options,
    ) {
        $this->options = (object) $options;
    }
}
