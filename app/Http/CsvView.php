<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'TakenTable')]
final readonly class CsvView
{
    public function __construct(
        #[OA\Property(description: 'Comma-separated values with a head line (RFC 4180), UTF-8.')] public string $csv,
    ) {
    }
}
