<?php

declare(strict_types=1);

namespace App\Plan;

use App\Http\Contract\Day;

/** The weeks up to the exam. */
final readonly class PlanView
{
    /**
     * @param  int|null  $daysToGo  Until the exam; 0 today, negative when it is over.
     * @param  string  $today  Where the candidate lives.
     * @param  float|null  $hoursWeek  Hours of a whole week; null: not said.
     * @param  list<int>  $weekdaysOff  1 is Monday.
     * @param  list<string>  $datesOff
     * @param  int  $questionMs  What a question is taken to need, answering and reading.
     * @param  bool  $questionMsKnown  It is the candidate's own median.
     * @param  list<PlanWeekView>  $weeks  None: the date or the hours are not said, or the exam is today or over.
     * @param  int  $missingMs  That it would take besides; 0: it fits.
     * @param  list<PlanPartView>  $leftOut  Questions that would never be met.
     * @param  ThisWeekView|null  $thisWeek  Null: there is no plan.
     */
    public function __construct(
        public string $exam,
        public string $examName,
        #[Day] public ?string $examDate,
        public ?int $daysToGo,
        #[Day] public string $today,
        public ?float $hoursWeek,
        public array $weekdaysOff,
        #[Day] public array $datesOff,
        public int $questionMs,
        public bool $questionMsKnown,
        public array $weeks,
        public int $missingMs,
        public array $leftOut,
        public int $leftOutRevisits,
        public int $leftOutRehearsals,
        public ?ThisWeekView $thisWeek,
    ) {
    }
}
