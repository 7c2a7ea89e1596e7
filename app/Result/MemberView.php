<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;

/** Somebody who sat the same shared test and agrees to be compared. */
#[OA\Schema(schema: 'Member')]
final readonly class MemberView
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property(description: 'The candidate\'s own line.')] public bool $mine,
        #[OA\Property(nullable: true, description: 'Of all marks, 0 to 1; may be negative.')] public ?float $share,
        #[OA\Property] public int $answered,
        #[OA\Property] public int $questions,
    ) {
    }
}
