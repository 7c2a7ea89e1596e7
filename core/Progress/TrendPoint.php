<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

use Uplandia\Core\Statistics\Interval;

/** How one sitting of a trend came out. */
final readonly class TrendPoint
{
    /**
     * @param  float  $share  of its marks; penalties can make it negative
     * @param  Interval  $band  Wilson 95 % of it
     * @param  float|null  $line  the smooth line there; null: too few sittings for one
     */
    public function __construct(public float $share, public Interval $band, public ?float $line)
    {
    }
}
