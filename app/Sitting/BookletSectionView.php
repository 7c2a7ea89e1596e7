<?php

declare(strict_types=1);

namespace App\Sitting;

/** Where a section begins in a booklet. */
final readonly class BookletSectionView
{
    /** @param  int  $from  Position of its first question. */
    public function __construct(
        public string $name,
        public int $from,
    ) {
    }
}
