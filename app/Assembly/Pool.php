<?php

declare(strict_types=1);

namespace App\Assembly;

use Closure;

/**
 * The units of a topic that can be drawn, as columns: a pool may hold the whole bank, and 100,000 objects cost ten
 * times
 * as much as 100,000 integers. A key is a question's id, or minus the id of a unit of several.
 */
final class Pool
{
    /**
     * @param  list<int>  $keys
     * @param  list<int>  $sizes  questions of each
     * @param  array<int, int>  $seen  place => Unix seconds when any of it was last seen
     */
    public function __construct(public array $keys = [], public array $sizes = [], public array $seen = [])
    {
    }

    /**
     * Questions that stand alone.
     *
     * @param  list<int>  $ids  in an order that is always the same
     * @param  array<int, int|null>  $seen  question id => Unix seconds when it was last seen; those that never were
     *   can be missing
     */
    public static function alone(array $ids, array $seen): self
    {
        $places = [];
        if ($seen !== []) {
            foreach ($ids as $place => $id) {
                if (isset($seen[$id])) {
                    $places[$place] = $seen[$id];
                }
            }
        }

        return new self($ids, $ids === [] ? [] : array_fill(0, count($ids), 1), $places);
    }

    public function add(int $key, int $size, ?int $seen): void
    {
        if ($seen !== null) {
            $this->seen[count($this->keys)] = $seen;
        }
        $this->keys[] = $key;
        $this->sizes[] = $size;
    }

    /** @param  Closure(int): bool  $keep  given the key of a unit */
    public function only(Closure $keep): self
    {
        $pool = new self();
        foreach ($this->keys as $place => $key) {
            if ($keep($key)) {
                $pool->add($key, $this->sizes[$place], $this->seen[$place] ?? null);
            }
        }

        return $pool;
    }

    /** @param  list<self>  $pools */
    public static function together(array $pools): self
    {
        $seen = [];
        $offset = 0;
        foreach ($pools as $pool) {
            foreach ($pool->seen as $place => $moment) {
                $seen[$offset + $place] = $moment;
            }
            $offset += count($pool->keys);
        }

        return new self(
            array_merge([], ...array_column($pools, 'keys')),
            array_merge([], ...array_column($pools, 'sizes')),
            $seen,
        );
    }
}
