<?php

declare(strict_types=1);

namespace App\Result;

use Uplandia\Core\Assembly\Mode;

/** One of two sittings that are held against each other. */
final readonly class SideView
{
    /**
     * @param  bool  $counts  At least 80 % was answered.
     * @param  CalibrationView|null  $calibration  Null: nothing was stated.
     */
    public function __construct(
        public string $sitting,
        public string $title,
        public Mode $mode,
        public int $endedAt,
        public int $activeMs,
        public bool $counts,
        public GroupView $whole,
        public ?CalibrationView $calibration,
    ) {
    }
}
