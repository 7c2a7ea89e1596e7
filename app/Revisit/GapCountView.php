<?php

declare(strict_types=1);

namespace App\Revisit;

/** How many gaps share something. */
final readonly class GapCountView
{
    public function __construct(
        public string $code,
        public string $name,
        public int $n,
    ) {
    }
}
