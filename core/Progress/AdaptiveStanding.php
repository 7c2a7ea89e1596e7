<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

use Uplandia\Core\Statistics\Interval;

/** Where a candidate stands in an adaptive test. */
final readonly class AdaptiveStanding
{
    /**
     * @param  float  $share  of the whole bank that is expected to be answered rightly, 0 to 1
     * @param  Interval  $interval  95 %
     */
    public function __construct(public Ability $ability, public float $share, public Interval $interval)
    {
    }

    /** On which side of the cut the whole interval lies; null: it holds the cut. */
    public function side(float $cut): ?AdaptiveEnding
    {
        return match (true) {
            $this->interval->low > $cut => AdaptiveEnding::Above,
            $this->interval->high < $cut => AdaptiveEnding::Below,
            default => null,
        };
    }
}
