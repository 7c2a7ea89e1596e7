<?php

declare(strict_types=1);

namespace App\Today;

/** What can be begun without choosing anything. */
final readonly class QuickView
{
    /**
     * @param  int  $due  Questions that are due to revisit.
     * @param  int  $cards  Cards that are due.
     * @param  int  $missed  Questions that did not go right last time.
     * @param  string|null  $recipe  The recipe run last; null: none yet.
     * @param  string|null  $recipeName  What the test it made was called.
     * @param  int  $rehearsal  Questions of a whole rehearsal.
     * @param  int  $minutes  Of the whole exam, before extra time.
     */
    public function __construct(
        public int $due,
        public int $cards,
        public int $missed,
        public ?string $recipe,
        public ?string $recipeName,
        public int $rehearsal,
        public int $minutes,
        public int $papers,
        public int $series,
    ) {
    }
}
