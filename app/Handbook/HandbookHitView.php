<?php

declare(strict_types=1);

namespace App\Handbook;

use OpenApi\Attributes as OA;

/** A section in which something was found. */
#[OA\Schema(schema: 'HandbookHit')]
final readonly class HandbookHitView
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $chapter,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'Around the first hit, without Markdown.')] public string $excerpt,
    ) {
    }
}
