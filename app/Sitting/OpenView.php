<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Question\QuestionView;
use App\Question\UnitView;
use OpenApi\Attributes as OA;

/** All that a page needs to run a sitting, also while the network is away. */
#[OA\Schema(schema: 'OpenedSitting')]
final readonly class OpenView
{
    /**
     * @param  list<QuestionView>  $questions
     * @param  list<UnitView>  $units
     * @param  list<string>  $topics
     */
    public function __construct(
        #[OA\Property(ref: BriefingView::class)] public BriefingView $briefing,
        #[OA\Property(type: 'array', items: new OA\Items(ref: QuestionView::class))] public array $questions,
        #[OA\Property(type: 'array', items: new OA\Items(ref: UnitView::class))] public array $units,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'The topic of each question, in tutor mode; elsewhere none are told.',
            ),
        ]
        public array $topics,
        #[OA\Property(ref: StateView::class)] public StateView $state,
    ) {
    }
}
