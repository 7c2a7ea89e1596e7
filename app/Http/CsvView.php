<?php

declare(strict_types=1);

namespace App\Http;

use App\Http\Contract\Named;

#[Named('TakenTable')]
final readonly class CsvView
{
    /** @param  string  $csv  Comma-separated values with a head line (RFC 4180), UTF-8. */
    public function __construct(
        public string $csv,
    ) {
    }
}
