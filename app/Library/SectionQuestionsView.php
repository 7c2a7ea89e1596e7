<?php

declare(strict_types=1);

namespace App\Library;

use OpenApi\Attributes as OA;

/** The questions whose reasons refer to a section of the handbook, as one has met them. */
#[OA\Schema(schema: 'SectionQuestions')]
final readonly class SectionQuestionsView
{
    public function __construct(
        #[OA\Property] public int $all,
        #[OA\Property] public int $seen,
        #[OA\Property(description: 'At the latest look.')] public int $right,
        #[OA\Property(description: 'In the gap book, and not closed.')] public int $gaps,
    ) {
    }
}
