<?php

declare(strict_types=1);

namespace App\Result;

/** What the cohort got of the very questions of a test, when it met them first. Shares are 0 to 1. */
final readonly class SameQuestionsView
{
    /**
     * @param  int  $questions  Questions of which enough is known.
     * @param  int  $answered  Of them: what was left blank counts as nothing.
     * @param  float  $cohort  Mean credit of the cohort.
     * @param  float  $mine  The candidate's.
     */
    public function __construct(
        public int $questions,
        public int $answered,
        public float $cohort,
        public float $mine,
    ) {
    }
}
