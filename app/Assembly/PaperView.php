<?php

declare(strict_types=1);

namespace App\Assembly;

/** A fixed paper that can be sat. */
final readonly class PaperView
{
    /**
     * @param  int  $minutes  Before extra time.
     * @param  int  $met  How many of its questions this candidate has met before.
     */
    public function __construct(
        public string $code,
        public string $title,
        public int $questions,
        public int $minutes,
        public int $met,
    ) {
    }
}
