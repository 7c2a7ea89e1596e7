<?php

declare(strict_types=1);

namespace App\Progress;

/**
 * The estimated chance of passing today. Chances are 0 to 1.
 *
 * @phpstan-import-type OutlookStands from ProgressSnapshot
 */
final readonly class OutlookView
{
    /**
     * @param  float  $expected  Questions expected right.
     * @param  int  $questions  Of the exam.
     * @param  int  $needed  Right answers that pass.
     */
    public function __construct(
        public float $chance,
        public float $low,
        public float $high,
        public float $expected,
        public int $questions,
        public int $needed,
    ) {
    }

    /** @param  OutlookStands|null  $kept */
    public static function of(?array $kept): ?self
    {
        return $kept === null ? null : new self(...$kept);
    }
}
