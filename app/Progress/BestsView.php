<?php

declare(strict_types=1);

namespace App\Progress;

/** What went best so far. */
final readonly class BestsView
{
    /**
     * @param  BestTestView|null  $timed  The timed test of at least twenty questions with the highest share; null:
     *     there was none that counts.
     * @param  StudyDayView|null  $day  On which most was answered.
     * @param  int  $run  The most days in a row on which something was handed in.
     * @param  int  $runNow  Days in a row up to today, or to yesterday; 0: none.
     */
    public function __construct(
        public ?BestTestView $timed,
        public ?StudyDayView $day,
        public int $run,
        public int $runNow,
    ) {
    }
}
