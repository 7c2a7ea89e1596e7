<?php

declare(strict_types=1);

namespace App\Result;

/** Somebody who sat the same shared test and agrees to be compared. */
final readonly class MemberView
{
    /**
     * @param  bool  $mine  The candidate's own line.
     * @param  float|null  $share  Of all marks, 0 to 1; may be negative.
     */
    public function __construct(
        public string $name,
        public bool $mine,
        public ?float $share,
        public int $answered,
        public int $questions,
    ) {
    }
}
