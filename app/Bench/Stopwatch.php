<?php

declare(strict_types=1);

namespace App\Bench;

use Closure;

/** Times some work and, beside it, a bare loop over the same data, so that the ratio holds on any machine. */
final class Stopwatch
{
    private const RUNS = 5;

    /**
     * @param  float  $wantedMs  the goal on the reference machine
     * @return list<string> time, wanted, met, ratio, peak memory
     */
    public static function compare(float $wantedMs, Closure $work, Closure $bare, int $runs = self::RUNS): array
    {
        $taken = self::best($work, $runs);
        $loop = self::best($bare, self::RUNS);

        return [
            sprintf('%.1f ms', $taken),
            sprintf('≤ %s ms', number_format($wantedMs)),
            $taken <= $wantedMs ? 'yes' : 'NO',
            sprintf('%.1f', $taken / max($loop, 1e-6)),
            sprintf('%.0f MB', memory_get_peak_usage(true) / 1048576),
        ];
    }

    /** The best of a few runs: what the machine can do when nothing disturbs it. Milliseconds. */
    private static function best(Closure $work, int $runs): float
    {
        $best = INF;
        for ($i = 0; $i < $runs; $i++) {
            $from = hrtime(true);
            $work();
            $best = min($best, (hrtime(true) - $from) / 1e6);
        }

        return $best;
    }
}
