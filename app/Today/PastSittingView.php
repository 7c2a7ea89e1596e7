<?php

declare(strict_types=1);

namespace App\Today;

use Uplandia\Core\Assembly\Mode;

final readonly class PastSittingView
{
    /**
     * @param  string|null  $marks  None of an adaptive test: they say nothing.
     * @param  string|null  $share  Of the marks, in per cent as its result says it.
     */
    public function __construct(
        public string $id,
        public string $title,
        public Mode $mode,
        public int $endedAt,
        public int $questions,
        public int $answered,
        public ?string $marks,
        public string $possible,
        public ?string $share,
    ) {
    }
}
