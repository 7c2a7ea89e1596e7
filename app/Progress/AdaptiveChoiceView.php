<?php

declare(strict_types=1);

namespace App\Progress;

/** How long an adaptive test may become. */
final readonly class AdaptiveChoiceView
{
    /**
     * @param  int  $most  Questions at most.
     * @param  int  $minutes  That the exam would give so many, without extra time.
     */
    public function __construct(
        public int $most,
        public int $minutes,
    ) {
    }
}
