<?php

declare(strict_types=1);

namespace App\Progress;

use App\Http\Contract\Named;
use Uplandia\Core\Result\Leaning;

/** How well one knew what one knew, in a month. */
#[Named('CalibrationMonth')]
final readonly class MonthView
{
    /**
     * @param  string  $month  Such as 2026-03.
     * @param  float  $off  Mean stated value less mean credit.
     * @param  float|null  $low  Of it, 95 %.
     */
    public function __construct(
        public string $month,
        public int $n,
        public float $off,
        public ?float $low,
        public ?float $high,
        public Leaning $leaning,
    ) {
    }
}
