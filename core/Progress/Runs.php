<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

/** Days in a row. Example: the days 3, 4, 5 and 8, looked at on day 9 → at most 3, and 1 now. */
final readonly class Runs
{
    /**
     * @param  int  $longest  days
     * @param  int  $now  days up to today, or up to yesterday where today is still open
     */
    private function __construct(public int $longest, public int $now)
    {
    }

    /** @param  list<int>  $days  rising, each once */
    public static function of(array $days, int $today): self
    {
        $longest = $run = 0;
        foreach ($days as $i => $day) {
            $run = $i > 0 && $day === $days[$i - 1] + 1 ? $run + 1 : 1;
            $longest = max($longest, $run);
        }
        $last = $days[count($days) - 1] ?? null;

        return new self($longest, $last === null || $last < $today - 1 ? 0 : $run);
    }
}
