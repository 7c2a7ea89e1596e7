<?php

declare(strict_types=1);

namespace App\Scoring;

use OpenApi\Attributes as OA;

/** A wrong number that people come to, and how. */
#[OA\Schema(schema: 'Slip')]
final readonly class SlipView
{
    public function __construct(
        #[OA\Property] public string $value,
        #[OA\Property(description: 'Markdown.')] public string $why,
    ) {
    }
}
