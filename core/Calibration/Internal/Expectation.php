<?php

declare(strict_types=1);

namespace Uplandia\Core\Calibration\Internal;

use Uplandia\Core\Calibration\Answers;
use Uplandia\Core\Calibration\GaussHermite;

/** One E-step. The innermost loops of calibration live here, so they are written for speed. */
final readonly class Expectation
{
    /**
     * @param  array<int, array<int, float>>  $n  item => node => expected people
     * @param  array<int, array<int, float>>  $r  item => node => expected credit
     * @param  array<int, array{float, float, float}>  $crossProducts  item => sums of the products of people's scores in (a, d): aa, ad, dd
     */
    private function __construct(public array $n, public array $r, public float $logLikelihood, public array $crossProducts)
    {
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $d
     * @param  list<float>  $c
     */
    public static function of(Answers $answers, GaussHermite $grid, array $a, array $d, array $c, bool $withErrors = false): self
    {
        [$right, $wrong] = self::logProbabilities($grid, $a, $d, $c);
        $nodes = count($grid->nodes);
        $none = array_fill(0, $nodes, 0.0);
        $n = $r = array_fill(0, $answers->items, $none);
        $products = [];
        $logWeights = array_map(log(...), $grid->weights);
        $logLikelihood = 0.0;
        foreach ($answers->patterns as $i => $pattern) {
            $posterior = $logWeights;
            foreach ($pattern as $item => $credit) {
                if ($credit === 1.0) {
                    foreach ($right[$item] as $k => $log) {
                        $posterior[$k] += $log;
                    }
                } elseif ($credit === 0.0) {
                    foreach ($wrong[$item] as $k => $log) {
                        $posterior[$k] += $log;
                    }
                } else {
                    foreach ($right[$item] as $k => $log) {
                        $posterior[$k] += $credit * $log + (1 - $credit) * $wrong[$item][$k];
                    }
                }
            }
            $top = max([-INF, ...$posterior]);
            $sum = 0.0;
            foreach ($posterior as $k => $log) {
                $sum += $posterior[$k] = exp($log - $top);
            }
            $count = $answers->counts[$i];
            $logLikelihood += $count * ($top + log($sum));
            // Far nodes carry nothing of a long pattern: leaving them out halves the work below.
            $share = $count / $sum;
            $near = [];
            foreach ($posterior as $k => $density) {
                if ($density > 1e-9) {
                    $near[$k] = $density * $share;
                }
            }
            foreach ($pattern as $item => $credit) {
                foreach ($near as $k => $weight) {
                    $n[$item][$k] += $weight;
                }
                if ($credit > 0.0) {
                    foreach ($near as $k => $weight) {
                        $r[$item][$k] += $weight * $credit;
                    }
                }
            }
            if ($withErrors) {
                self::addScores($products, $pattern, $near, $count, $grid, $a, $d, $c);
            }
        }

        return new self($n, $r, $logLikelihood, $products);
    }

    /**
     * By Fisher's identity a person's score is the expectation of the complete-data score; the sum of its products
     * estimates the information of the marginal likelihood.
     *
     * @param  array<int, array{float, float, float}>  $products
     * @param  array<int, float>  $pattern
     * @param  array<int, float>  $near  node => posterior weight, adding up to count
     * @param  list<float>  $a
     * @param  list<float>  $d
     * @param  list<float>  $c
     */
    private static function addScores(array &$products, array $pattern, array $near, int $count, GaussHermite $grid, array $a, array $d, array $c): void
    {
        foreach ($pattern as $item => $credit) {
            $sa = $sd = 0.0;
            foreach ($near as $k => $weight) {
                $theta = $grid->nodes[$k];
                $q = 1 / (1 + exp(-($a[$item] * $theta + $d[$item])));
                $p = $c[$item] + (1 - $c[$item]) * $q;
                $score = $weight / $count * ($credit - $p) * (1 - $c[$item]) * $q * (1 - $q) / max($p * (1 - $p), 1e-12);
                $sd += $score;
                $sa += $score * $theta;
            }
            [$aa, $ad, $dd] = $products[$item] ?? [0.0, 0.0, 0.0];
            $products[$item] = [$aa + $count * $sa * $sa, $ad + $count * $sa * $sd, $dd + $count * $sd * $sd];
        }
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $d
     * @param  list<float>  $c
     * @return array{list<list<float>>, list<list<float>>} item => node => log P, log (1 − P)
     */
    private static function logProbabilities(GaussHermite $grid, array $a, array $d, array $c): array
    {
        $right = $wrong = [];
        foreach ($a as $item => $slope) {
            $of = $not = [];
            foreach ($grid->nodes as $theta) {
                $p = $c[$item] + (1 - $c[$item]) / (1 + exp(-($slope * $theta + $d[$item])));
                $p = min(1 - 1e-12, max(1e-12, $p));
                $of[] = log($p);
                $not[] = log(1 - $p);
            }
            $right[] = $of;
            $wrong[] = $not;
        }

        return [$right, $wrong];
    }
}
