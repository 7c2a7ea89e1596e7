<?php

declare(strict_types=1);

namespace App\Assembly;

final readonly class PicksView
{
    /**
     * @param  int  $total  Of all pages.
     * @param  list<PickView>  $questions  of this page
     */
    public function __construct(
        public int $total,
        public int $page,
        public int $pages,
        public array $questions,
    ) {
    }
}
