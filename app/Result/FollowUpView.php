<?php

declare(strict_types=1);

namespace App\Result;

/** A test that can be begun at once, and why just this one. */
final readonly class FollowUpView
{
    /** @param  string  $sentence  What it is made of and why. */
    public function __construct(
        public int $questions,
        public string $sentence,
    ) {
    }
}
