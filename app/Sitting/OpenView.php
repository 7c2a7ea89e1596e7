<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Contract\Named;
use App\Question\QuestionView;
use App\Question\UnitView;

/** All that a page needs to run a sitting, also while the network is away. */
#[Named('OpenedSitting')]
final readonly class OpenView
{
    /**
     * @param  list<QuestionView>  $questions
     * @param  list<UnitView>  $units
     * @param  list<string>  $topics  The topic of each question, in tutor mode; elsewhere none are told.
     */
    public function __construct(
        public BriefingView $briefing,
        public array $questions,
        public array $units,
        public array $topics,
        public StateView $state,
    ) {
    }
}
