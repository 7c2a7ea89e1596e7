<?php

declare(strict_types=1);

namespace App\Revisit;

/** All cards of an exam, to be taken away. */
final readonly class CardsAwayView
{
    /**
     * @param  string  $csv  Comma-separated values with a head line (RFC 4180), UTF-8.
     * @param  string  $text  The same as plain text.
     */
    public function __construct(
        public string $csv,
        public string $text,
    ) {
    }
}
