<?php

declare(strict_types=1);

namespace App\Result;

/** Second thoughts, ruling out, and what was not read. */
final readonly class HabitsView
{
    /**
     * @param  int  $wrongToRight  First response against last.
     * @param  int  $ruledOut  Questions in which options were ruled out.
     * @param  int  $keyRuledOut  Of them, in how many the right one was.
     * @param  int  $narrowedToTwo  Answered questions narrowed to two options.
     * @param  float|null  $accuracyNarrowed  Mean credit of those, 0 to 1.
     * @param  int  $rapidGuesses  Answers given faster than the question can be read.
     */
    public function __construct(
        public int $wrongToRight,
        public int $rightToWrong,
        public int $wrongToWrong,
        public int $ruledOut,
        public int $keyRuledOut,
        public int $narrowedToTwo,
        public ?float $accuracyNarrowed,
        public int $rapidGuesses,
    ) {
    }
}
