<?php

declare(strict_types=1);

namespace App\Progress;

use App\Http\Contract\Day;

/** A day on which tests were sat. */
final readonly class StudyDayView
{
    /** @param  int  $ms  Active time. */
    public function __construct(
        #[Day] public string $date,
        public int $ms,
        public int $answered,
    ) {
    }
}
