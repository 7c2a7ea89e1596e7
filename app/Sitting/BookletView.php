<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Question\QuestionView;
use App\Question\UnitView;

/** A sitting's questions as they are printed: a page of them, in the order of the screen. */
final readonly class BookletView
{
    /**
     * @param  list<QuestionView>  $questions
     * @param  list<UnitView>  $units
     * @param  list<BookletSectionView>  $sections  None: it is of one piece.
     * @param  bool  $keyed  Whether its key may be printed now.
     */
    public function __construct(
        public BriefingView $briefing,
        public array $questions,
        public array $units,
        public array $sections,
        public bool $keyed,
    ) {
    }
}
