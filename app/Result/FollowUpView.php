<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;

/** A test that can be begun at once, and why just this one. */
#[OA\Schema(schema: 'FollowUp')]
final readonly class FollowUpView
{
    public function __construct(
        #[OA\Property] public int $questions,
        #[OA\Property(description: 'What it is made of and why.')] public string $sentence,
    ) {
    }
}
