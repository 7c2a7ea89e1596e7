<?php

declare(strict_types=1);

namespace App\Question;

/** A text to be written, and marked by its writer. */
final readonly class WrittenBody
{
    /** @param  'written'  $kind */
    public function __construct(
        public string $kind,
    ) {
    }
}
