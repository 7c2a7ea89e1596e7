<?php

declare(strict_types=1);

namespace App\Today;

use App\Assembly\CountsView;
use App\Http\Contract\Day;
use App\Plan\ThisWeekView;
use App\Progress\OutlookView;

/** The first screen: where to go on, and where one stands. */
final readonly class TodayView
{
    /**
     * @param  list<OpenSittingView>  $open  Sittings that have not been handed in, latest first.
     * @param  list<PastSittingView>  $past  The latest ten results.
     * @param  string|null  $examDate  Of the exam.
     * @param  int|null  $daysToGo  Until the exam; 0 today, negative when it is over.
     * @param  OutlookView|null  $outlook  Null: too little evidence.
     * @param  ThisWeekView|null  $week  Against the plan; null: there is none.
     * @param  list<StepView>  $steps  At most three, the most useful first.
     */
    public function __construct(
        public string $exam,
        public string $examName,
        public string $summary,
        public CountsView $counts,
        public QuickView $quick,
        public array $open,
        public array $past,
        #[Day] public ?string $examDate,
        public ?int $daysToGo,
        public ?OutlookView $outlook,
        public ?ThisWeekView $week,
        public array $steps,
    ) {
    }
}
