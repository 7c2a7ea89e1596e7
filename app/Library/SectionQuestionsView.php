<?php

declare(strict_types=1);

namespace App\Library;

/** The questions whose reasons refer to a section of the handbook, as one has met them. */
final readonly class SectionQuestionsView
{
    /**
     * @param  int  $right  At the latest look.
     * @param  int  $gaps  In the gap book, and not closed.
     */
    public function __construct(
        public int $all,
        public int $seen,
        public int $right,
        public int $gaps,
    ) {
    }
}
