<?php

declare(strict_types=1);

namespace App\Progress;

/** How much of a part of the bank one has met, and how much of it went right at the latest look. */
final readonly class CoverageView
{
    /** @param  int  $right  At the latest look. */
    public function __construct(
        public string $code,
        public string $name,
        public int $all,
        public int $seen,
        public int $right,
    ) {
    }
}
