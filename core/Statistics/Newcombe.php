<?php

declare(strict_types=1);

namespace Uplandia\Core\Statistics;

/**
 * The difference of two independent shares with its interval, made of Wilson's intervals of both (Newcombe 1998,
 * method 10). Example: 56 of 70 less 48 of 80 at 95 % → 0.2000, 0.0524 to 0.3339.
 */
final readonly class Newcombe
{
    private function __construct(public float $difference, public Interval $within)
    {
    }

    /**
     * @param  float  $share  0 to 1
     * @param  float  $n  what it rests on
     * @param  float  $other  what is taken from it
     */
    public static function of(float $share, float $n, float $other, float $otherN, float $z = Wilson::Z95): self
    {
        $one = Wilson::interval($share * $n, $n, $z);
        $two = Wilson::interval($other * $otherN, $otherN, $z);

        return new self($share - $other, new Interval(
            $share - $other - sqrt(($share - $one->low) ** 2 + ($two->high - $other) ** 2),
            $share - $other + sqrt(($one->high - $share) ** 2 + ($other - $two->low) ** 2),
        ));
    }

    /** Whether it is more than chance. */
    public function isClear(): bool
    {
        return ! $this->within->holds(0.0);
    }
}
