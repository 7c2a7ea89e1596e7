<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

use Random\Randomizer;

/**
 * Draws units without replacement, uniformly: those never seen first, then the least recently seen, ties at random.
 * A unit is taken whole and only where it fits what is still wanted. The same seed and the same pool give the same
 * draw. Source: computation.md, section 3.
 */
final readonly class Draw
{
    public function __construct(private Randomizer $chance) {}

    /**
     * @param  list<Unit>  $pool  in an order that is always the same (by id, say)
     * @param  int  $n  questions wanted
     * @return list<Unit> in the order drawn; fewer than n questions when the pool is too small or nothing fits
     */
    public function take(array $pool, int $n): array
    {
        $drawn = [];
        $left = $n;
        foreach ($this->byLastSeen($pool) as $tied) {
            foreach ($this->shuffledLazily($tied) as $unit) {
                if ($left === 0) {
                    return $drawn;
                }
                if (count($unit->questions) <= $left) {
                    $drawn[] = $unit;
                    $left -= count($unit->questions);
                }
            }
        }

        return $drawn;
    }

    /**
     * @param  list<Unit>  $pool
     * @return iterable<list<Unit>> groups seen at the same moment, never seen first, then the oldest
     */
    private function byLastSeen(array $pool): iterable
    {
        $never = $seen = [];
        foreach ($pool as $unit) {
            if ($unit->lastSeen === null) {
                $never[] = $unit;
            } else {
                $seen[$unit->lastSeen][] = $unit;
            }
        }
        yield $never;
        ksort($seen);
        yield from $seen;
    }

    /**
     * Fisher–Yates that only goes as far as it is read, so that drawing 200 of 100,000 costs 200 swaps.
     *
     * @param  list<Unit>  $units
     * @return iterable<Unit>
     */
    private function shuffledLazily(array $units): iterable
    {
        $last = count($units) - 1;
        for ($i = 0; $i <= $last; $i++) {
            $j = $this->chance->getInt($i, $last);
            [$units[$i], $units[$j]] = [$units[$j], $units[$i]];
            yield $units[$i];
        }
    }
}
