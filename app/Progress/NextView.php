<?php

declare(strict_types=1);

namespace App\Progress;

use App\Question\QuestionView;
use App\Question\UnitView;
use App\Sitting\StateView;
use OpenApi\Attributes as OA;

/** What an adaptive test asks after a question; nothing more, and it is over. */
#[OA\Schema(schema: 'Next')]
final readonly class NextView
{
    /**
     * @param  list<QuestionView>  $questions
     * @param  list<UnitView>  $units
     */
    public function __construct(
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: QuestionView::class),
                description: 'None: the sitting is over.',
            ),
        ]
        public array $questions,
        #[OA\Property(type: 'array', items: new OA\Items(ref: UnitView::class))] public array $units,
        #[OA\Property(ref: StateView::class)] public StateView $state,
    ) {
    }
}
