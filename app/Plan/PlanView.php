<?php

declare(strict_types=1);

namespace App\Plan;

use OpenApi\Attributes as OA;

/** The weeks up to the exam. */
#[OA\Schema(schema: 'Plan')]
final readonly class PlanView
{
    /**
     * @param  list<int>  $weekdaysOff
     * @param  list<string>  $datesOff
     * @param  list<PlanWeekView>  $weeks
     * @param  list<PlanPartView>  $leftOut
     */
    public function __construct(
        #[OA\Property] public string $exam,
        #[OA\Property] public string $examName,
        #[OA\Property(format: 'date', nullable: true)] public ?string $examDate,
        #[OA\Property(nullable: true, description: 'Until the exam; 0 today, negative when it is over.')]
        public ?int $daysToGo,
        #[OA\Property(format: 'date', description: 'Where the candidate lives.')] public string $today,
        #[OA\Property(nullable: true, description: 'Hours of a whole week; null: not said.')] public ?float $hoursWeek,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'), description: '1 is Monday.')]
        public array $weekdaysOff,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string', format: 'date'))] public array $datesOff,
        #[OA\Property(description: 'What a question is taken to need, answering and reading.')] public int $questionMs,
        #[OA\Property(description: 'It is the candidate\'s own median.')] public bool $questionMsKnown,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PlanWeekView::class), description: 'None: the date or the hours are not said, or the exam is today or over.')]
        public array $weeks,
        #[OA\Property(description: 'That it would take besides; 0: it fits.')] public int $missingMs,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PlanPartView::class), description: 'Questions that would never be met.')]
        public array $leftOut,
        #[OA\Property] public int $leftOutRevisits,
        #[OA\Property] public int $leftOutRehearsals,
        #[OA\Property(ref: ThisWeekView::class, nullable: true, description: 'Null: there is no plan.')]
        public ?ThisWeekView $thisWeek,
    ) {
    }
}
