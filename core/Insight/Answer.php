<?php

declare(strict_types=1);

namespace Uplandia\Core\Insight;

use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Scoring\MarkScheme;
use Uplandia\Core\Sitting\Sureness;

/** One question of a handed-in sitting, with everything that insight looks at. */
final readonly class Answer
{
    /**
     * @param  int  $position  in the test, from 0
     * @param  array<string, string>  $labels  what it may be grouped by: topic, subtopic, section, difficulty, kind, and each tag family
     * @param  Credit  $credit  for the last answer
     * @param  Credit|null  $firstCredit  for the first answer that was not empty; null: it was never answered
     * @param  int  $ms  on screen while active
     * @param  float|null  $cohortMedianMs  null: not known
     * @param  float  $luck  chance of being right by luck: 1/options for choices, 0 for typed answers
     * @param  list<string>  $options  option ids of a single-answer question, else none
     * @param  list<string>  $struck  option ids ruled out
     */
    public function __construct(
        public int $position,
        public array $labels,
        public Credit $credit,
        public MarkScheme $scheme,
        public ?Credit $firstCredit = null,
        public int $ms = 0,
        public ?float $cohortMedianMs = null,
        public ?Sureness $sureness = null,
        public float $luck = 0.0,
        public array $options = [],
        public array $struck = [],
        public ?string $key = null,
    ) {
    }

    /** Credit as a float; blank and pending count as nothing. */
    public function share(): float
    {
        return $this->credit->share?->toFloat() ?? 0.0;
    }
}
