<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

use Uplandia\Core\Sitting\Sureness;
use Uplandia\Core\Statistics\Interval;

/** How one level of sureness turned out. */
final readonly class Level
{
    /**
     * @param  float|null  $stated  mean stated value, 0 to 1; null: the level was not used
     * @param  float|null  $accuracy  mean credit
     * @param  Interval  $interval  Wilson 95 % of the accuracy
     * @param  Leaning  $leaning  called only when the interval excludes the stated value
     */
    public function __construct(
        public Sureness $sureness,
        public int $n,
        public ?float $stated,
        public ?float $accuracy,
        public Interval $interval,
        public Leaning $leaning,
    ) {
    }
}
