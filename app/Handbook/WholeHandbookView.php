<?php

declare(strict_types=1);

namespace App\Handbook;

/** All pages of an exam's handbook, in order: for a device that takes it along. */
final readonly class WholeHandbookView
{
    /** @param  list<SectionView>  $sections */
    public function __construct(
        public string $exam,
        public string $examName,
        public array $sections,
    ) {
    }
}
