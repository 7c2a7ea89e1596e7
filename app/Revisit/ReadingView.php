<?php

declare(strict_types=1);

namespace App\Revisit;

/** A section of the handbook that gaps refer to. */
final readonly class ReadingView
{
    /** @param  int  $n  Gaps that refer to it. */
    public function __construct(
        public string $code,
        public string $chapter,
        public string $title,
        public int $n,
    ) {
    }
}
