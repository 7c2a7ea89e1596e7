<?php

declare(strict_types=1);

namespace App\Sitting;

/** The score so far, in tutor mode, of what has been checked. Exact, as decimals. */
final readonly class ScoreView
{
    /** @param  int  $questions  Checked questions. */
    public function __construct(
        public string $marks,
        public string $possible,
        public int $questions,
    ) {
    }
}
