<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

/** Where a candidate stands and how they came there. */
#[OA\Schema(schema: 'Progress')]
final readonly class ProgressView
{
    /**
     * @param  list<string>  $untouched
     * @param  list<OutlookDayView>  $outlooks
     * @param  list<TopicStandView>  $topics
     * @param  list<TrendSittingView>  $trend
     * @param  list<MonthView>  $months
     * @param  list<SpellView>  $hours
     * @param  list<SpellView>  $minutes
     * @param  list<StudyDayView>  $days
     */
    public function __construct(
        #[OA\Property] public string $exam,
        #[OA\Property] public string $examName,
        #[OA\Property(description: 'The share that passes, 0 to 1.')] public float $cut,
        #[OA\Property(description: 'Independent answers that the estimates rest on.')] public int $responses,
        #[OA\Property(description: 'Still wanted before an outlook is shown.')] public int $responsesMissing,
        #[OA\Property(description: 'Share of the exam that they touch.')] public float $weightTouched,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'Topics without one.')]
        public array $untouched,
        #[OA\Property(ref: OutlookView::class, nullable: true, description: 'Null: too little evidence.')]
        public ?OutlookView $outlook,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OutlookDayView::class), description: 'Its course over time, by day.')] public array $outlooks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TopicStandView::class), description: 'In the order of the blueprint.')] public array $topics,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TrendSittingView::class))] public array $trend,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MonthView::class))] public array $months,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SpellView::class), description: 'By hour of the day.')] public array $hours,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SpellView::class), description: 'By minute of the session, ten together.')] public array $minutes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudyDayView::class), description: 'The latest twelve weeks.')] public array $days,
        #[OA\Property(ref: BestsView::class)] public BestsView $bests,
        #[OA\Property(description: 'Active time in all.')] public int $totalMs,
        #[OA\Property(description: 'Handed in.')] public int $sittings,
    ) {
    }
}
