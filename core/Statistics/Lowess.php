<?php

declare(strict_types=1);

namespace Uplandia\Core\Statistics;

/**
 * A smooth line through points: lines fitted to the neighbourhood of each, weighed by the tricube of the distance, and
 * three times more with the bisquare of what was left over, so that single odd points do not bend it (Cleveland 1979).
 * A point may weigh more than another, such as one that rests on more answers; which are near, it does not change.
 * Example: points on a straight line are their own smooth line.
 */
final class Lowess
{
    private const SPAN = 2 / 3;

    private const ROUNDS = 3;

    /** Of the range of y: half of the points lie so near to the line that it has arrived. */
    private const STILL = 1e-7;

    /** Of the square of a neighbourhood's reach: points that lie so close have no slope of their own. */
    private const FLAT = 1e-10;

    /**
     * @param  list<float>  $x  rising
     * @param  list<float>  $y  of the same length
     * @param  list<float>|null  $weights  of the points, each above 0; null: all weigh the same
     * @param  float  $span  share of the points that a neighbourhood holds
     * @return list<float> the line at each x
     */
    public static function smooth(array $x, array $y, ?array $weights = null, float $span = self::SPAN): array
    {
        $n = count($x);
        if ($n < 3 || $y === []) {
            return $y;
        }
        $near = max(2, min($n, (int) floor($span * $n + 1e-9)));
        $weights ??= array_fill(0, $n, 1.0);
        $trust = $weights;
        $line = $y;
        for ($round = 0; $round <= self::ROUNDS; $round++) {
            for ($i = 0; $i < $n; $i++) {
                $line[$i] = self::at(i: $i, x: $x, y: $y, trust: $trust, near: $near);
            }
            $left = array_map(static fn (float $one, float $fit): float => abs($one - $fit), $y, $line);
            $middle = (float) Sample::quantile($left, 0.5);
            // Nothing that counts is left over, measured by how far the points lie apart: what is left is rounding.
            if (6 * $middle <= self::STILL * (max($y) - min($y))) {
                break;
            }
            $trust = array_map(
                static fn (float $one, float $weight): float => $one >= 6 * $middle
                    ? 0.0
                    : (1 - ($one / (6 * $middle)) ** 2) ** 2 * $weight,
                $left,
                $weights,
            );
        }

        return array_values($line);
    }

    /**
     * @param  list<float>  $x
     * @param  list<float>  $y
     * @param  list<float>  $trust  what each weighs, less what it is out of line
     */
    private static function at(int $i, array $x, array $y, array $trust, int $near): float
    {
        $distances = array_map(static fn (float $one): float => abs($one - $x[$i]), $x);
        $sorted = $distances;
        sort($sorted);
        $reach = $sorted[$near - 1];
        $weights = [];
        $sum = $sx = $sy = 0.0;
        foreach ($x as $j => $at) {
            $share = $reach > 0 ? $distances[$j] / $reach : ($distances[$j] > 0 ? 1.0 : 0.0);
            // The farthest neighbour weighs nothing, unless all are equally far.
            $weights[$j] = $share >= 1 ? 0.0 : (1 - $share ** 3) ** 3 * $trust[$j];
            $sum += $weights[$j];
            $sx += $weights[$j] * ($at - $x[$i]);
            $sy += $weights[$j] * $y[$j];
        }
        if ($sum <= 0) {
            return $y[$i];
        }
        // Centred, so that it does not matter from where x is counted.
        [$meanX, $meanY] = [$sx / $sum, $sy / $sum];
        $sxx = $sxy = 0.0;
        foreach ($weights as $j => $weight) {
            $off = $x[$j] - $x[$i] - $meanX;
            $sxx += $weight * $off * $off;
            $sxy += $weight * $off * ($y[$j] - $meanY);
        }
        $slope = $sxx <= self::FLAT * $sum * $reach * $reach ? 0.0 : $sxy / $sxx;

        return $meanY - $slope * $meanX;
    }
}
