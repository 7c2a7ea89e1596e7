<?php

declare(strict_types=1);

namespace App\Cohort;

/** Where a candidate stands among all candidates of the exam. Shares are 0 to 1. */
final readonly class CohortView
{
    /**
     * @param  bool  $takesPart  Whether one's own figures are part of it.
     * @param  int  $n  Others, each once with the latest whole exam that counts.
     * @param  int  $fewest  So many are needed before anything is shown.
     * @param  string|null  $sitting  One's own latest whole exam; null: none was sat.
     * @param  float|null  $share  Its share of marks.
     * @param  float|null  $median  Of the others; null: too few.
     * @param  list<int>  $steps  How many others fall into each equal step from 0 to 1; none: too few.
     * @param  list<CohortTopicView>  $topics  In the order of the blueprint.
     */
    public function __construct(
        public bool $takesPart,
        public int $n,
        public int $fewest,
        public ?string $sitting,
        public ?float $share,
        public ?float $percentile,
        public ?float $median,
        public array $steps,
        public array $topics,
    ) {
    }
}
