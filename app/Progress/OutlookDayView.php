<?php

declare(strict_types=1);

namespace App\Progress;

use App\Http\Contract\Day;

/** The outlook as it was told on a day. */
final readonly class OutlookDayView
{
    public function __construct(
        #[Day] public string $date,
        public float $chance,
        public float $low,
        public float $high,
        public int $responses,
    ) {
    }
}
