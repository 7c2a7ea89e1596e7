<?php

declare(strict_types=1);

namespace App\Progress;

/** How answers came out in a part of the day or of the session, against what was expected of them. */
final readonly class SpellView
{
    /**
     * @param  int  $from  The hour where the candidate lives, or the minute of the session.
     * @param  int  $n  Independent answers, at least two.
     * @param  float  $off  Mean credit less what was expected, −1 to 1.
     * @param  float  $low  Of it, 95 %.
     * @param  float  $high  Of it, 95 %.
     * @param  bool  $clear  It rests on enough, and is more than chance.
     */
    public function __construct(
        public int $from,
        public int $n,
        public float $off,
        public float $low,
        public float $high,
        public bool $clear,
    ) {
    }
}
