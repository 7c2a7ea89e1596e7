<?php

declare(strict_types=1);

namespace App\Question;

final readonly class OptionView
{
    /** @param  string  $text  Markdown. */
    public function __construct(
        public string $id,
        public string $text,
    ) {
    }
}
