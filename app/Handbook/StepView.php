<?php

declare(strict_types=1);

namespace App\Handbook;

use OpenApi\Attributes as OA;

/** A step of a lesson. */
#[OA\Schema(schema: 'LessonStep')]
final readonly class StepView
{
    public function __construct(
        #[OA\Property] public string $title,
        #[OA\Property(description: 'Markdown.')] public string $body,
    ) {
    }
}
