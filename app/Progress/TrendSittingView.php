<?php

declare(strict_types=1);

namespace App\Progress;

use Uplandia\Core\Assembly\Mode;

/** How a sitting came out, among those of its mode. Shares are 0 to 1. */
final readonly class TrendSittingView
{
    /**
     * @param  int  $n  Answers that were no rapid guesses: as many it weighs in the line.
     * @param  float  $share  Of its marks, as everywhere; penalties can make it negative.
     * @param  float  $low  Wilson 95 %.
     * @param  float  $high  Wilson 95 %.
     * @param  float|null  $line  The smooth line there; null: too few sittings for one.
     * @param  float|null  $expected  What is expected today of those very questions, as a share of their marks; null:
     *     there is too little evidence for an outlook.
     */
    public function __construct(
        public string $sitting,
        public int $at,
        public Mode $mode,
        public int $n,
        public float $share,
        public float $low,
        public float $high,
        public ?float $line,
        public ?float $expected,
    ) {
    }
}
