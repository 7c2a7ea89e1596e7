<?php

declare(strict_types=1);

namespace App\Sitting;

/** The score so far, in tutor mode, of what has been checked. Exact, as decimals. */
final readonly class ScoreView
{
    /**
     * @param  string|null  $percent  Of the marks, as a result would say it; null: no mark could be had yet.
     * @param  int  $questions  Checked questions.
     */
    public function __construct(
        public string $marks,
        public string $possible,
        public ?string $percent,
        public int $questions,
    ) {
    }
}
