<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort\Internal;

use Uplandia\Core\Cohort\GaussHermite;
use Uplandia\Core\Cohort\Patterns;

/**
 * The observed information of the marginal likelihood, by Louis (1982): for each person the expected information of
 * the
 * complete data less the variance of the complete score, both over what is known of their ability. Inverted, it is the
 * covariance of the parameters.
 *
 * Up to forty items the whole matrix is formed, all slopes included. With more, ability is known so well that what
 * items
 * have to do with one another through it hardly matters, and each item's own block stands for it.
 */
final class Information
{
    private const WHOLE_UP_TO = 40;

    /** Nodes that carry less of a person than this are left out. */
    private const NOTHING = 1e-12;

    /**
     * @param  list<float>  $a
     * @param  list<float>  $d
     * @param  list<float>  $c
     * @param  list<array{float, float, float}>  $prior  item => information of its prior: aa, ad, dd
     * @param  bool  $common  whether all items share one slope
     * @return list<array{float, float, float}|null> item => variance of a, covariance, variance of d; null: unknown
     */
    public static function covariances(
        Patterns $patterns,
        GaussHermite $grid,
        array $a,
        array $d,
        array $c,
        array $prior,
        bool $common,
    ): array {
        $items = count($a);
        $whole = $items <= self::WHOLE_UP_TO;
        // Parameters: the slope of item i is `slope(i)`, its intercept comes behind all slopes.
        $slopes = $common ? 1 : $items;
        $size = $slopes + $items;
        $matrix = array_fill(0, $size, array_fill(0, $size, 0.0));
        $tables = self::tables(grid: $grid, a: $a, d: $d, c: $c);
        foreach ($patterns->patterns as $i => $pattern) {
            if ($patterns->counts[$i] > 0) {
                self::add(
                    matrix: $matrix,
                    pattern: $pattern,
                    count: $patterns->counts[$i],
                    grid: $grid,
                    tables: $tables,
                    slopes: $slopes,
                    common: $common,
                    whole: $whole,
                );
            }
        }
        foreach ($prior as $item => [$aa, $ad, $dd]) {
            $at = $common ? 0 : $item;
            $matrix[$at][$at] += $aa;
            $matrix[$at][$slopes + $item] += $ad;
            $matrix[$slopes + $item][$at] += $ad;
            $matrix[$slopes + $item][$slopes + $item] += $dd;
        }

        return self::invert(
            matrix: $matrix,
            items: $items,
            slopes: $slopes,
            common: $common,
            whole: $whole || $common,
        );
    }

    /**
     * For each item and node: the score of a right and of a wrong answer in the intercept, and minus their slopes.
     *
     * @param  list<float>  $a
     * @param  list<float>  $d
     * @param  list<float>  $c
     * @return list<list<array{float, float, float, float, float, float}>>
     */
    private static function tables(GaussHermite $grid, array $a, array $d, array $c): array
    {
        $tables = [];
        foreach ($a as $item => $slope) {
            $row = [];
            foreach ($grid->nodes as $theta) {
                $q = 1 / (1 + exp(-($slope * $theta + $d[$item])));
                $p = min(1 - 1e-12, max(1e-12, $c[$item] + (1 - $c[$item]) * $q));
                $first = (1 - $c[$item]) * $q * (1 - $q);
                $second = $first * (1 - 2 * $q);
                $row[] = [
                    $first / $p,
                    -$first / (1 - $p),
                    -($second * $p - $first ** 2) / $p ** 2,
                    ($second * (1 - $p) + $first ** 2) / (1 - $p) ** 2,
                    log($p),
                    log(1 - $p),
                ];
            }
            $tables[] = $row;
        }

        return $tables;
    }

    /**
     * @param  array<int, array<int, float>>  $matrix
     * @param  array<int, float>  $pattern
     * @param  list<list<array{float, float, float, float, float, float}>>  $tables
     */
    private static function add(
        array &$matrix,
        array $pattern,
        int $count,
        GaussHermite $grid,
        array $tables,
        int $slopes,
        bool $common,
        bool $whole,
    ): void {
        $weights = self::posterior($pattern, $grid, $tables);
        $mean = $scores = [];
        foreach ($weights as $k => $weight) {
            $theta = $grid->nodes[$k];
            $score = [];
            foreach ($pattern as $item => $x) {
                [$right, $wrong, $bendRight, $bendWrong] = $tables[$item][$k];
                $s = $x * $right + (1 - $x) * $wrong;
                $bend = $count * $weight * ($x * $bendRight + (1 - $x) * $bendWrong);
                $at = $common ? 0 : $item;
                $to = $slopes + $item;
                $score[$at] = ($score[$at] ?? 0.0) + $s * $theta;
                $score[$to] = $s;
                $matrix[$at][$at] += $bend * $theta * $theta;
                $matrix[$at][$to] += $bend * $theta;
                $matrix[$to][$at] += $bend * $theta;
                $matrix[$to][$to] += $bend;
            }
            foreach ($score as $at => $s) {
                $mean[$at] = ($mean[$at] ?? 0.0) + $weight * $s;
            }
            $scores[$k] = $score;
        }
        foreach ($scores as $k => $score) {
            $weight = $count * $weights[$k];
            foreach ($score as $at => $s) {
                $off = $weight * ($s - $mean[$at]);
                foreach ($whole ? array_keys($score) : self::own($at, $slopes, $common) as $to) {
                    $matrix[$at][$to] -= $off * ($score[$to] - $mean[$to]);
                }
            }
        }
    }

    /** @return list<int> the parameters that stand in one block with this one */
    private static function own(int $at, int $slopes, bool $common): array
    {
        return match (true) {
            $common => $at === 0 ? [0] : [$at],
            $at < $slopes => [$at, $at + $slopes],
            default => [$at, $at - $slopes],
        };
    }

    /**
     * @param  array<int, float>  $pattern
     * @param  list<list<array{float, float, float, float, float, float}>>  $tables
     * @return array<int, float> node => share, adding up to 1
     */
    private static function posterior(array $pattern, GaussHermite $grid, array $tables): array
    {
        $logs = [];
        foreach ($grid->weights as $k => $weight) {
            $log = log($weight);
            foreach ($pattern as $item => $x) {
                $log += $x * $tables[$item][$k][4] + (1 - $x) * $tables[$item][$k][5];
            }
            $logs[$k] = $log;
        }
        $top = max([-INF, ...$logs]);
        $shares = array_filter(
            array_map(static fn (float $log): float => exp($log - $top), $logs),
            static fn (float $share): bool => $share > self::NOTHING,
        );
        $sum = array_sum($shares);

        return array_map(static fn (float $share): float => $share / $sum, $shares);
    }

    /**
     * @param  array<int, array<int, float>>  $matrix
     * @return list<array{float, float, float}|null>
     */
    private static function invert(array $matrix, int $items, int $slopes, bool $common, bool $whole): array
    {
        $inverse = $whole ? self::inverse($matrix) : null;
        $found = [];
        for ($item = 0; $item < $items; $item++) {
            [$at, $to] = [$common ? 0 : $item, $slopes + $item];
            $block = [[$matrix[$at][$at], $matrix[$at][$to]], [$matrix[$to][$at], $matrix[$to][$to]]];
            $own =
                $inverse === null
                    ? self::inverse($block)
                    : [[$inverse[$at][$at], $inverse[$at][$to]], [$inverse[$to][$at], $inverse[$to][$to]]];
            $known = $own !== null && $own[0][0] > 0 && $own[1][1] > 0;
            $found[] = $known ? [$own[0][0], $own[0][1], $own[1][1]] : null;
        }

        return $found;
    }

    /**
     * Gauss–Jordan with the largest pivot of each column.
     *
     * @param  array<int, array<int, float>>  $matrix  square
     * @return array<int, array<int, float>>|null null when it has none
     */
    private static function inverse(array $matrix): ?array
    {
        $n = count($matrix);
        $inverse = [];
        for ($i = 0; $i < $n; $i++) {
            $inverse[$i] = array_fill(0, $n, 0.0);
            $inverse[$i][$i] = 1.0;
        }
        for ($column = 0; $column < $n; $column++) {
            $pivot = $column;
            for ($i = $column + 1; $i < $n; $i++) {
                $pivot = abs($matrix[$i][$column]) > abs($matrix[$pivot][$column]) ? $i : $pivot;
            }
            if (abs($matrix[$pivot][$column]) < 1e-12) {
                return null;
            }
            [$matrix[$column], $matrix[$pivot]] = [$matrix[$pivot], $matrix[$column]];
            [$inverse[$column], $inverse[$pivot]] = [$inverse[$pivot], $inverse[$column]];
            $scale = $matrix[$column][$column];
            for ($j = 0; $j < $n; $j++) {
                $matrix[$column][$j] /= $scale;
                $inverse[$column][$j] /= $scale;
            }
            for ($i = 0; $i < $n; $i++) {
                $factor = $matrix[$i][$column];
                if ($i === $column || $factor === 0.0) {
                    continue;
                }
                for ($j = 0; $j < $n; $j++) {
                    $matrix[$i][$j] -= $factor * $matrix[$column][$j];
                    $inverse[$i][$j] -= $factor * $inverse[$column][$j];
                }
            }
        }

        return $inverse;
    }
}
