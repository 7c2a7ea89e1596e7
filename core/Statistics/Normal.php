<?php

declare(strict_types=1);

namespace Uplandia\Core\Statistics;

/** The standard normal distribution. */
final class Normal
{
    /**
     * Φ(x), to about 15 digits: series near 0, continued fraction in the tails (Abramowitz & Stegun 26.2.10, 26.2.14).
     */
    public static function cdf(float $x): float
    {
        $z = abs($x);
        if ($z > 38) {
            return $x > 0 ? 1.0 : 0.0;
        }
        $density = exp((-$z * $z) / 2) / sqrt(2 * M_PI);
        if ($z < 3) {
            $term = $sum = $z;
            for ($k = 1; $term > 1e-17; $k++) {
                $term *= ($z * $z) / (2 * $k + 1);
                $sum += $term;
            }
            $upper = 0.5 - $density * $sum;
        } else {
            $fraction = 0.0;
            for ($k = 60; $k > 0; $k--) {
                $fraction = $k / ($z + $fraction);
            }
            $upper = $density / ($z + $fraction);
        }

        return $x > 0 ? 1 - $upper : $upper;
    }
}
