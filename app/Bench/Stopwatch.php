<?php

declare(strict_types=1);

namespace App\Bench;

use Closure;

/** Times some work and, in turn with it, the same work done by hand, so that the ratio holds on any machine. */
final class Stopwatch
{
    private const RUNS = 9;

    /**
     * @param  string  $against  what is done by hand
     * @param  float  $goal  the most that the ratio may be
     */
    public static function compare(
        string $what,
        Closure $work,
        string $against,
        Closure $byHand,
        float $goal,
        int $runs = self::RUNS,
    ): Row {
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $took = [self::time($work)];
        $peak = memory_get_peak_usage() - $before;
        $beside = [self::time($byHand)];
        for ($i = 1; $i < $runs; $i++) {
            $beside[] = self::time($byHand);
            $took[] = self::time($work);
        }

        return new Row(
            what: $what,
            took: $took,
            against: $against,
            beside: $beside,
            goal: $goal,
            peak: $peak,
        );
    }

    /** Milliseconds. */
    private static function time(Closure $work): float
    {
        $from = hrtime(true);
        $work();

        return (hrtime(true) - $from) / 1e6;
    }
}
