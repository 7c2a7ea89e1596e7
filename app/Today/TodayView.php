<?php

declare(strict_types=1);

namespace App\Today;

use App\Assembly\CountsView;
use App\Plan\ThisWeekView;
use App\Progress\OutlookView;
use OpenApi\Attributes as OA;

/** The first screen: where to go on, and where one stands. */
#[OA\Schema(schema: 'Today')]
final readonly class TodayView
{
    /**
     * @param  list<ExamLinkView>  $exams
     * @param  list<OpenSittingView>  $open
     * @param  list<PastSittingView>  $past
     * @param  list<StepView>  $steps
     */
    public function __construct(
        #[OA\Property] public string $exam,
        #[OA\Property] public string $examName,
        #[OA\Property] public string $summary,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ExamLinkView::class))] public array $exams,
        #[OA\Property(ref: CountsView::class)] public CountsView $counts,
        #[OA\Property(ref: QuickView::class)] public QuickView $quick,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: OpenSittingView::class),
                description: 'Sittings that have not been handed in, latest first.',
            ),
        ]
        public array $open,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: PastSittingView::class),
                description: 'The latest ten results.',
            ),
        ]
        public array $past,
        #[OA\Property(format: 'date', nullable: true, description: 'Of the exam.')] public ?string $examDate,
        #[OA\Property(nullable: true, description: 'Until the exam; 0 today, negative when it is over.')]
        public ?int $daysToGo,
        #[OA\Property(ref: OutlookView::class, nullable: true, description: 'Null: too little evidence.')]
        public ?OutlookView $outlook,
        #[OA\Property(ref: ThisWeekView::class, nullable: true, description: 'Against the plan; null: there is none.')]
        public ?ThisWeekView $week,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: StepView::class),
                description: 'At most three, the most useful first.',
            ),
        ]
        public array $steps,
    ) {
    }
}
