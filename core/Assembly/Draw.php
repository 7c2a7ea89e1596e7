<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

use Random\Randomizer;

/**
 * Draws units without replacement, uniformly: those never seen first, then the least recently seen, ties at random. A
 * unit is taken only where what follows can still make up the rest, so a count that can be made is made. The same seed
 * and the same pool give the same draw. Source: computation.md, section 3.
 */
final readonly class Draw
{
    /** Leaves 39 bits for the moment: enough for Unix seconds until the year 10889. */
    private const PLACE_BITS = 24;

    public function __construct(private Randomizer $chance)
    {
    }

    /**
     * @param  list<int>  $sizes  of the units of a pool, in an order that is always the same (by id, say)
     * @param  array<int, int>  $seen  place in the pool => Unix seconds of the latest time any of it was seen
     * @param  int  $n  questions wanted
     * @return list<int> places in the pool, in the order drawn; nothing when whole units cannot make exactly n
     */
    public function take(array $sizes, array $seen, int $n): array
    {
        $left = Supply::ofSizes($sizes);
        if (! $left->makes($n)) {
            return [];
        }
        $drawn = [];
        foreach ($this->inOrder(count($sizes), $seen) as $place) {
            if ($n === 0) {
                break;
            }
            $size = $sizes[$place];
            $left = $size === 1 && count($left->units) === 1 ? $left : $left->without($size);
            if ($size <= $n && ((count($left->units) === 1 && isset($left->units[1])) || $left->makes($n - $size))) {
                $drawn[] = $place;
                $n -= $size;
            }
        }

        return $drawn;
    }

    /**
     * Never seen first, then the oldest; those seen at the same moment shuffled.
     *
     * Moment and place are packed into one integer, since sorting integers is an order of magnitude faster than
     * sorting
     * anything else.
     *
     * @param  array<int, int>  $seen
     * @return iterable<int>
     */
    public function inOrder(int $n, array $seen): iterable
    {
        $new = [];
        for ($place = 0; $place < $n; $place++) {
            if (! isset($seen[$place])) {
                $new[] = $place;
            }
        }
        yield from $this->shuffledLazily($new);
        $packed = [];
        foreach ($seen as $place => $moment) {
            $packed[] = ($moment << self::PLACE_BITS) | $place;
        }
        sort($packed);
        $tied = [];
        $moment = null;
        foreach ($packed as $one) {
            if ($tied !== [] && $one >> self::PLACE_BITS !== $moment) {
                yield from $this->shuffledLazily($tied);
                $tied = [];
            }
            $moment = $one >> self::PLACE_BITS;
            $tied[] = $one & ((1 << self::PLACE_BITS) - 1);
        }
        yield from $this->shuffledLazily($tied);
    }

    /**
     * Fisher–Yates that only goes as far as it is read, so that drawing 200 of 100,000 costs 200 swaps.
     *
     * @param  list<int>  $places
     * @return iterable<int>
     */
    private function shuffledLazily(array $places): iterable
    {
        $last = count($places) - 1;
        for ($i = 0; $i <= $last; $i++) {
            $j = $this->chance->getInt($i, $last);
            [$places[$i], $places[$j]] = [$places[$j], $places[$i]];
            yield $places[$i];
        }
    }
}
