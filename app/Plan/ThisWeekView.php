<?php

declare(strict_types=1);

namespace App\Plan;

use App\Http\Contract\Day;

/** What was done this week, Monday to today, against what was planned for it. */
final readonly class ThisWeekView
{
    /**
     * @param  string  $from  Its Monday.
     * @param  int  $questions  Planned, those of a rehearsal left out.
     * @param  int  $answered  Answered, those of rehearsals and papers left out.
     * @param  int  $ms  Planned.
     * @param  int  $spentMs  Active time, all tests.
     * @param  bool  $rehearsal  One was planned.
     * @param  int  $rehearsed  Whole papers and rehearsals handed in.
     */
    public function __construct(
        #[Day] public string $from,
        public int $questions,
        public int $answered,
        public int $ms,
        public int $spentMs,
        public bool $rehearsal,
        public int $rehearsed,
    ) {
    }
}
