<?php

declare(strict_types=1);

namespace App\Library;

/** All that one has met. */
final readonly class LibraryView
{
    /**
     * @param  int  $total  That pass what is wanted.
     * @param  int  $elsewhere  Met or marked in other exams.
     * @param  int  $testsNoted  Tests of this exam with a note of their own.
     * @param  list<MetView>  $met  Of each exam the latest first.
     */
    public function __construct(
        public string $exam,
        public string $examName,
        public int $total,
        public int $elsewhere,
        public int $testsNoted,
        public int $page,
        public int $pages,
        public array $met,
    ) {
    }
}
