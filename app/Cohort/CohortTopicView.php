<?php

declare(strict_types=1);

namespace App\Cohort;

/** A topic as the cohort and the candidate find it. Shares are 0 to 1. */
final readonly class CohortTopicView
{
    /**
     * @param  float|null  $mine  One's own mean credit in the latest whole exam; null: none was sat.
     * @param  float|null  $others  Mean of the others'; null: too few.
     * @param  float|null  $percentile  0 to 1; null: too few others, or no exam was sat.
     * @param  int  $questions  First looks at questions that enough others have met.
     * @param  float|null  $mineSame  One's own mean credit on them; null: there are none.
     * @param  float|null  $othersSame  The cohort's on the very same.
     */
    public function __construct(
        public string $code,
        public string $name,
        public ?float $mine,
        public ?float $others,
        public ?float $percentile,
        public int $questions,
        public ?float $mineSame,
        public ?float $othersSame,
    ) {
    }
}
