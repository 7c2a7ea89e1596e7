<?php

declare(strict_types=1);

namespace App\Library;

/** What a candidate keeps with a page of the handbook, and how far they have read it. */
final readonly class PageKeptView
{
    /**
     * @param  string  $code  Of the page.
     * @param  string  $note  Markdown; empty: there is none.
     * @param  list<HighlightView>  $highlights
     * @param  int  $step  Of a lesson, from 0.
     * @param  bool  $finished  Read to its end.
     */
    public function __construct(
        public string $code,
        public string $chapter,
        public string $title,
        public string $note,
        public array $highlights,
        public int $step,
        public bool $finished,
    ) {
    }
}
