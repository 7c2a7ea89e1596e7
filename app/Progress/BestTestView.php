<?php

declare(strict_types=1);

namespace App\Progress;

final readonly class BestTestView
{
    /** @param  float  $share  0 to 1. */
    public function __construct(
        public string $sitting,
        public string $title,
        public int $at,
        public float $share,
        public int $questions,
    ) {
    }
}
