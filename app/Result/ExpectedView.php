<?php

declare(strict_types=1);

namespace App\Result;

use Uplandia\Core\Progress\AdaptiveEnding;

/** What an adaptive test has found out: shares of all that its topics hold, 0 to 1. */
final readonly class ExpectedView
{
    /**
     * @param  string  $sentence  What it says of passing.
     * @param  string|null  $of  Topics it was about; null: the whole bank.
     * @param  float  $share  That would be answered rightly.
     * @param  float  $low  It lies between these 95 times in 100.
     * @param  AdaptiveEnding|null  $side  On which side of the cut all of that lies; null: it holds the cut.
     * @param  AdaptiveEnding|null  $ending  Why it ended; null: its candidate or the clock ended it.
     * @param  int  $asked  Questions that were on screen.
     * @param  int  $most  Questions it would have asked.
     * @param  int  $least  It settles nothing before so many.
     */
    public function __construct(
        public string $sentence,
        public ?string $of,
        public float $share,
        public float $low,
        public float $high,
        public ?AdaptiveEnding $side,
        public ?AdaptiveEnding $ending,
        public int $asked,
        public int $most,
        public int $least,
    ) {
    }
}
