<?php

declare(strict_types=1);

namespace App\Revisit;

use OpenApi\Attributes as OA;

/** All cards of an exam, to be taken away. */
#[OA\Schema(schema: 'CardsAway')]
final readonly class CardsAwayView
{
    public function __construct(
        #[OA\Property(description: 'Comma-separated values with a head line (RFC 4180), UTF-8.')] public string $csv,
        #[OA\Property(description: 'The same as plain text.')] public string $text,
    ) {
    }
}
