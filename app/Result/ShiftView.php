<?php

declare(strict_types=1);

namespace App\Result;

use Uplandia\Core\Result\Shift;

/** How a share of marks changed from an earlier sitting to a later one. */
final readonly class ShiftView
{
    /**
     * @param  float  $by  Later less earlier, −1 to 1.
     * @param  float  $low  Of it, 95 %.
     * @param  float  $high  Of it, 95 %.
     * @param  bool  $clear  It rests on enough, and is more than chance.
     */
    public function __construct(
        public float $by,
        public float $low,
        public float $high,
        public bool $clear,
    ) {
    }

    public static function of(?Shift $shift): ?self
    {
        return $shift === null
            ? null
            : new self(
                by: $shift->by->difference,
                low: $shift->by->within->low,
                high: $shift->by->within->high,
                clear: $shift->clear,
            );
    }
}
