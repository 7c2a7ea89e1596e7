<?php

declare(strict_types=1);

namespace App\Sitting;

/** All tests and sittings of an exam, or of all, a page at a time. */
final readonly class TestsView
{
    /**
     * @param  int  $all  Without search and filters.
     * @param  int  $elsewhere  Of other exams.
     * @param  list<TestLineView>  $tests
     * @param  list<DeletedLineView>  $deleted
     */
    public function __construct(
        public int $total,
        public int $page,
        public int $pages,
        public int $all,
        public int $elsewhere,
        public array $tests,
        public array $deleted,
    ) {
    }
}
