<?php

declare(strict_types=1);

namespace App\Revisit;

use OpenApi\Attributes as OA;

/** A section of the handbook that gaps refer to. */
#[OA\Schema(schema: 'Reading')]
final readonly class ReadingView
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $chapter,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'Gaps that refer to it.')] public int $n,
    ) {
    }
}
