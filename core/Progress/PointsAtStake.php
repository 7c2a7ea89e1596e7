<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

/**
 * What a topic is costing: its weight in the exam times its distance below the target. Source: computation.md, section
 * 8.
 */
final class PointsAtStake
{
    /** The target lies this much above the cut. */
    private const MARGIN = 0.05;

    /** The mastery that leaves nothing at stake, 0 to 1. */
    public static function target(float $cut): float
    {
        return $cut + self::MARGIN;
    }

    /**
     * @param  float  $weight  of the topic, in the unit wanted (percentage points, say)
     * @param  float  $cut  share that passes
     * @param  float  $mastery  0 to 1
     */
    public static function of(float $weight, float $cut, float $mastery): float
    {
        return $weight * max(0.0, self::target($cut) - $mastery);
    }
}
