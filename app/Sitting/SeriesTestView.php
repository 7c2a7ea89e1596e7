<?php

declare(strict_types=1);

namespace App\Sitting;

use Uplandia\Core\Assembly\Mode;

/** A test of a series, and what one has made of it. */
final readonly class SeriesTestView
{
    /**
     * @param  int|null  $minutes  Before extra time; null: no limit.
     * @param  int|null  $attempts  How often it may be sat; null: as often as one likes.
     * @param  string|null  $best  Share of the marks, in per cent, of the best attempt handed in.
     * @param  string|null  $waiting  The sitting that waits to begin or to go on.
     */
    public function __construct(
        public string $code,
        public string $title,
        public int $questions,
        public Mode $mode,
        public ?int $minutes,
        public ?int $attempts,
        public int $used,
        public ?string $best,
        public ?string $waiting,
    ) {
    }
}
