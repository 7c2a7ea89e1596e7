<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort\Internal;

use Uplandia\Core\Cohort\GaussHermite;
use Uplandia\Core\Cohort\Patterns;

/** One E-step. The innermost loops of calibration live here, so they are written for speed. */
final readonly class Expectation
{
    /**
     * @param  array<int, array<int, float>>  $n  item => node => expected people
     * @param  array<int, array<int, float>>  $r  item => node => expected credit
     */
    private function __construct(public array $n, public array $r, public float $logLikelihood)
    {
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $d
     * @param  list<float>  $c
     */
    public static function of(Patterns $answers, GaussHermite $grid, array $a, array $d, array $c): self
    {
        [$right, $wrong] = self::logProbabilities(grid: $grid, a: $a, d: $d, c: $c);
        $nodes = count($grid->nodes);
        $none = array_fill(0, $nodes, 0.0);
        $n = $r = array_fill(0, $answers->items, $none);
        $logWeights = array_map(log(...), $grid->weights);
        $logLikelihood = 0.0;
        foreach ($answers->patterns as $i => $pattern) {
            $count = $answers->counts[$i];
            if ($count === 0) {
                continue;
            }
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
        }

        return new self($n, $r, $logLikelihood);
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
