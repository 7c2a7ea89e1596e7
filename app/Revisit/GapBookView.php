<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Question\NamedCountView;

/** A candidate's own misses. */
final readonly class GapBookView
{
    /**
     * @param  list<NamedCountView>  $topics  Of the state that is looked at, in the order of the blueprint.
     * @param  list<NamedCountView>  $causes  The most frequent first.
     * @param  list<ReadingView>  $reading  In the order of the pages.
     * @param  int  $total  That pass what is wanted.
     * @param  list<GapView>  $gaps  The newest first.
     */
    public function __construct(
        public string $exam,
        public string $examName,
        public int $open,
        public int $closing,
        public int $closed,
        public array $topics,
        public array $causes,
        public array $reading,
        public int $total,
        public int $page,
        public int $pages,
        public array $gaps,
    ) {
    }
}
