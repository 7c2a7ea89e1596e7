<?php

declare(strict_types=1);

namespace App\Progress;

/** Where a candidate stands and how they came there. */
final readonly class ProgressView
{
    /**
     * @param  float  $cut  The share that passes, 0 to 1.
     * @param  int  $responses  Independent answers that the estimates rest on.
     * @param  int  $responsesMissing  Still wanted before an outlook is shown.
     * @param  float  $weightTouched  Share of the exam that they touch.
     * @param  list<string>  $untouched  Topics without one, the weightiest first; none where enough of it is touched.
     * @param  OutlookView|null  $outlook  Null: too little evidence.
     * @param  list<OutlookDayView>  $outlooks  Its course over time, by day.
     * @param  list<TopicStandView>  $topics  In the order of the blueprint.
     * @param  list<TrendSittingView>  $trend
     * @param  list<MonthView>  $months
     * @param  list<SpellView>  $hours  By hour of the day.
     * @param  list<SpellView>  $minutes  By minute of the session, ten together.
     * @param  list<StudyDayView>  $days  The latest twelve weeks.
     * @param  int  $totalMs  Active time in all.
     * @param  int  $sittings  Handed in.
     */
    public function __construct(
        public string $exam,
        public string $examName,
        public float $cut,
        public int $responses,
        public int $responsesMissing,
        public float $weightTouched,
        public array $untouched,
        public ?OutlookView $outlook,
        public array $outlooks,
        public array $topics,
        public array $trend,
        public array $months,
        public array $hours,
        public array $minutes,
        public array $days,
        public BestsView $bests,
        public int $totalMs,
        public int $sittings,
    ) {
    }
}
