<?php

declare(strict_types=1);

namespace Uplandia\Core\Statistics;

/** Wilson's score interval for a share (Wilson 1927). Example: 8 of 10 at 95 % → 0.490–0.943. */
final class Wilson
{
    public const Z95 = 1.959963984540054;

    public const Z80 = 1.2815515655446004;

    /**
     * @param  float  $successes  0 ≤ successes ≤ n; partial credit may be counted as a fraction
     * @param  float  $n  number of trials, or what weighs as much; none gives the whole of 0 to 1
     * @param  float  $z  standard normal quantile of the wanted level, see the constants
     */
    public static function interval(float $successes, float $n, float $z = self::Z95): Interval
    {
        if ($n <= 0.0) {
            return new Interval(0.0, 1.0);
        }
        $p = $successes / $n;
        $zz = $z * $z;
        $middle = ($p + $zz / (2 * $n)) / (1 + $zz / $n);
        $reach = ($z / (1 + $zz / $n)) * sqrt(($p * (1 - $p)) / $n + $zz / (4 * $n * $n));

        return new Interval(max(0.0, $middle - $reach), min(1.0, $middle + $reach));
    }
}
