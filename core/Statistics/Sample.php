<?php

declare(strict_types=1);

namespace Uplandia\Core\Statistics;

/** Plain statistics of lists of floats. */
final class Sample
{
    /** @param  list<float>  $values */
    public static function mean(array $values): ?float
    {
        return $values === [] ? null : array_sum($values) / count($values);
    }

    /**
     * Sample variance, with n − 1; null below two values.
     *
     * @param  list<float>  $values
     */
    public static function variance(array $values): ?float
    {
        $n = count($values);
        if ($n < 2) {
            return null;
        }
        $mean = array_sum($values) / $n;
        $sum = 0.0;
        foreach ($values as $value) {
            $sum += ($value - $mean) ** 2;
        }

        return $sum / ($n - 1);
    }

    /**
     * Quantile by linear interpolation between the sorted values (Hyndman & Fan 1996, type 7); null for no values.
     *
     * @param  list<float|int>  $values
     * @param  float  $share  0 to 1; one half is the median
     */
    public static function quantile(array $values, float $share): ?float
    {
        if ($values === []) {
            return null;
        }
        sort($values);
        $at = $share * (count($values) - 1);
        $below = (int) floor($at);
        $above = min($below + 1, count($values) - 1);

        return $values[$below] + ($at - $below) * ($values[$above] - $values[$below]);
    }

    /**
     * Pearson's correlation; null when either side does not vary.
     *
     * @param  list<float>  $x
     * @param  list<float>  $y  of the same length
     */
    public static function correlation(array $x, array $y): ?float
    {
        $n = count($x);
        if ($n < 2) {
            return null;
        }
        $mx = array_sum($x) / $n;
        $my = array_sum($y) / $n;
        $xx = $yy = $xy = 0.0;
        foreach ($x as $i => $value) {
            $dx = $value - $mx;
            $dy = $y[$i] - $my;
            $xx += $dx * $dx;
            $yy += $dy * $dy;
            $xy += $dx * $dy;
        }

        return $xx <= 1e-12 || $yy <= 1e-12 ? null : $xy / sqrt($xx * $yy);
    }
}
