<?php

declare(strict_types=1);

namespace App\Question;

final readonly class ExhibitView
{
    /** @param  string  $body  Markdown. */
    public function __construct(
        public string $title,
        public string $body,
    ) {
    }
}
