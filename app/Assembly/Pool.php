<?php

declare(strict_types=1);

namespace App\Assembly;

/**
 * The units of a topic that can be drawn, as columns. A key is a question's id, or minus the id of a unit of several.
 */
final class Pool
{
    /** @var list<int> */
    public array $keys = [];

    /** @var list<int> questions of each */
    public array $sizes = [];

    /** @var array<int, int> place => Unix seconds when any of it was last seen */
    public array $seen = [];

    public function add(int $key, int $size, ?int $seen): void
    {
        if ($seen !== null) {
            $this->seen[count($this->keys)] = $seen;
        }
        $this->keys[] = $key;
        $this->sizes[] = $size;
    }

    /** @param  list<self>  $pools */
    public static function together(array $pools): self
    {
        $all = new self();
        foreach ($pools as $pool) {
            foreach ($pool->keys as $place => $key) {
                $all->add($key, $pool->sizes[$place], $pool->seen[$place] ?? null);
            }
        }

        return $all;
    }
}
