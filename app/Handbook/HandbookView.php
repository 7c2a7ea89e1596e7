<?php

declare(strict_types=1);

namespace App\Handbook;

/** The contents of an exam's handbook, in order. */
final readonly class HandbookView
{
    /** @param  list<SectionLinkView>  $sections */
    public function __construct(
        public string $exam,
        public string $examName,
        public array $sections,
    ) {
    }
}
