<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Question\QuestionView;
use App\Question\UnitView;
use OpenApi\Attributes as OA;

/** A sitting's questions as they are printed: a page of them, in the order of the screen. */
#[OA\Schema(schema: 'Booklet')]
final readonly class BookletView
{
    /**
     * @param  list<QuestionView>  $questions
     * @param  list<UnitView>  $units
     * @param  list<BookletSectionView>  $sections
     */
    public function __construct(
        #[OA\Property(ref: BriefingView::class)] public BriefingView $briefing,
        #[OA\Property(type: 'array', items: new OA\Items(ref: QuestionView::class))] public array $questions,
        #[OA\Property(type: 'array', items: new OA\Items(ref: UnitView::class))] public array $units,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: BookletSectionView::class),
                description: 'None: it is of one piece.',
            ),
        ]
        public array $sections,
        #[OA\Property(description: 'Whether its key may be printed now.')] public bool $keyed,
    ) {
    }
}
