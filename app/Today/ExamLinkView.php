<?php

declare(strict_types=1);

namespace App\Today;

/** An exam, and what waits in it. */
final readonly class ExamLinkView
{
    /**
     * @param  int  $open  Tests that are not handed in.
     * @param  int  $due  Questions that are due to revisit today.
     */
    public function __construct(
        public string $slug,
        public string $name,
        public int $open,
        public int $due,
    ) {
    }
}
