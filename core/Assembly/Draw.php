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
    /** Leaves 39 bits for the moment: enough for Unix seconds until the year 10889. */
    private const PLACE_BITS = 24;

    public function __construct(private Randomizer $chance)
    {
    }

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
     * Groups seen at the same moment, never seen first, then the oldest. Moment and place are packed into one integer,
     * since sorting integers is an order of magnitude faster than sorting objects or building 100,000 groups.
     *
     * @param  list<Unit>  $pool
     * @return iterable<list<Unit>>
     */
    private function byLastSeen(array $pool): iterable
    {
        $tied = $seen = [];
        foreach ($pool as $place => $unit) {
            if ($unit->lastSeen === null) {
                $tied[] = $unit;
            } else {
                $seen[] = $unit->lastSeen << self::PLACE_BITS | $place;
            }
        }
        yield $tied;
        sort($seen);
        $tied = [];
        $moment = null;
        foreach ($seen as $packed) {
            if ($tied !== [] && $packed >> self::PLACE_BITS !== $moment) {
                yield $tied;
                $tied = [];
            }
            $moment = $packed >> self::PLACE_BITS;
            $tied[] = $pool[$packed & (1 << self::PLACE_BITS) - 1];
        }
        yield $tied;
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
