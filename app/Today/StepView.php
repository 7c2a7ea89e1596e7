<?php

declare(strict_types=1);

namespace App\Today;

use OpenApi\Attributes as OA;

/** One thing to do next, and why. */
#[OA\Schema(schema: 'NextStep')]
final readonly class StepView
{
    public function __construct(
        #[OA\Property(enum: StepKind::class)] public StepKind $kind,
        #[OA\Property] public string $sentence,
        #[OA\Property] public string $reason,
        #[OA\Property(nullable: true, description: 'The section of the handbook to read.')]
        public ?string $section = null,
    ) {
    }
}
