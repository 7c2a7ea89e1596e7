<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

/** One handed-in sitting, for comparison. */
final readonly class ComparedSitting
{
    /**
     * @param  int  $candidate  who sat it
     * @param  int  $at  when it was handed in, any rising count
     * @param  float  $score  share of all marks, or any other measure that all share
     * @param  float  $answered  share of the questions that were answered, 0 to 1
     */
    public function __construct(public int $candidate, public int $at, public float $score, public float $answered)
    {
    }
}
