<?php

declare(strict_types=1);

namespace App\Result;

/** One handed-in sitting of a test by its candidate. */
final readonly class AttemptView
{
    /** @param  float|null  $share  Of all marks, 0 to 1; may be negative. */
    public function __construct(
        public string $sitting,
        public int $endedAt,
        public ?float $share,
        public int $answered,
        public int $questions,
        public int $activeMs,
    ) {
    }
}
