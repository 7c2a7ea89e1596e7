<?php

declare(strict_types=1);

namespace App\Handbook;

/** A section in which something was found. */
final readonly class HandbookHitView
{
    /** @param  string  $excerpt  Around the first hit, without Markdown. */
    public function __construct(
        public string $code,
        public string $chapter,
        public string $title,
        public string $excerpt,
    ) {
    }
}
