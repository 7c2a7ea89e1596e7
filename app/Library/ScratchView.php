<?php

declare(strict_types=1);

namespace App\Library;

/** The scratch pad of one sitting. */
final readonly class ScratchView
{
    /** @param  list<string>  $strokes  What was drawn, each stroke as its points: "12,40 13,42". */
    public function __construct(
        public string $words,
        public array $strokes,
    ) {
    }
}
