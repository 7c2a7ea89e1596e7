<?php

declare(strict_types=1);

namespace App\Handbook;

final readonly class SectionLinkView
{
    /** @param  int  $steps  Of its lesson; 0: it is a page only. */
    public function __construct(
        public string $code,
        public string $chapter,
        public string $title,
        public int $steps,
    ) {
    }

    public static function of(HandbookSection $section): self
    {
        return new self(
            code: $section->code,
            chapter: $section->chapter,
            title: $section->title,
            steps: count($section->lesson ?? []),
        );
    }
}
