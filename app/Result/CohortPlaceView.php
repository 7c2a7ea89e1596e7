<?php

declare(strict_types=1);

namespace App\Result;

/** A share of marks among those of other candidates. */
final readonly class CohortPlaceView
{
    /**
     * @param  int  $n  Others, each once with the latest sitting that counts.
     * @param  int  $fewest  So many are needed before anything is shown.
     * @param  int  $leftOut  Of others who did not answer enough to count.
     * @param  bool  $ofExam  All whole papers and rehearsals of the exam, not only this test.
     * @param  float|null  $percentile  0 to 1; null: too few others, or this sitting does not count.
     * @param  float|null  $median  Of the others, 0 to 1.
     * @param  float|null  $share  One's own share of marks.
     * @param  list<int>  $steps  How many others fall into each equal step from 0 to 1; none: too few.
     */
    public function __construct(
        public int $n,
        public int $fewest,
        public int $leftOut,
        public bool $ofExam,
        public ?float $percentile,
        public ?float $median,
        public ?float $share,
        public array $steps,
    ) {
    }
}
