<?php

declare(strict_types=1);

namespace Uplandia\Core\Revisit;

use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Sitting\Sureness;

/** One time a candidate met a question in a sitting, and what came of it. */
final readonly class Encounter
{
    /**
     * @param  int  $at  when it was settled, Unix milliseconds
     * @param  int  $day  the same as a count of whole days, in the candidate's time zone
     * @param  bool  $flagged  whether it was flagged at the end
     * @param  int  $ms  on screen
     * @param  bool  $glimpse  its key was shown without an answer: that counts only where the question was new
     * @param  float|null  $medianMs  the cohort's median time for the question, as it was known then
     */
    public function __construct(
        public int $at,
        public int $day,
        public Outcome $outcome,
        public ?Sureness $sureness = null,
        public bool $flagged = false,
        public int $ms = 0,
        public ?float $medianMs = null,
        public bool $glimpse = false,
    ) {
    }
}
