<?php

declare(strict_types=1);

namespace App\Progress;

use App\Question\QuestionView;
use App\Question\UnitView;
use App\Sitting\StateView;

/** What an adaptive test asks after a question; nothing more, and it is over. */
final readonly class NextView
{
    /**
     * @param  list<QuestionView>  $questions  None: the sitting is over.
     * @param  list<UnitView>  $units
     */
    public function __construct(
        public array $questions,
        public array $units,
        public StateView $state,
    ) {
    }
}
