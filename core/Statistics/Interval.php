<?php

declare(strict_types=1);

namespace Uplandia\Core\Statistics;

/** A closed interval of floats. */
final readonly class Interval
{
    public function __construct(public float $low, public float $high)
    {
    }

    public function holds(float $value): bool
    {
        return $value >= $this->low && $value <= $this->high;
    }
}
