<?php

declare(strict_types=1);

namespace App\Library;

/** All pages of a handbook that a candidate has read, noted or marked, in its order. */
final readonly class PagesKeptView
{
    /**
     * @param  string|null  $stopped  Where they stopped reading.
     * @param  list<PageKeptView>  $pages
     */
    public function __construct(
        public ?string $stopped,
        public array $pages,
    ) {
    }
}
