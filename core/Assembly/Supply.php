<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

/** What one topic has to give: how many whole units of each size. A question that stands alone is a unit of one. */
final readonly class Supply
{
    /** Questions in all. */
    public int $total;

    /** @param  array<int, int>  $units  size => how many, both more than 0 */
    public function __construct(public array $units)
    {
        $total = 0;
        foreach ($units as $size => $n) {
            $total += $size * $n;
        }
        $this->total = $total;
    }

    /** @param  iterable<int>  $sizes  of each unit */
    public static function ofSizes(iterable $sizes): self
    {
        $units = [];
        foreach ($sizes as $size) {
            $units[$size] = ($units[$size] ?? 0) + 1;
        }

        return new self($units);
    }

    /** @param  list<self>  $supplies */
    public static function together(array $supplies): self
    {
        $units = [];
        foreach ($supplies as $supply) {
            foreach ($supply->units as $size => $n) {
                $units[$size] = ($units[$size] ?? 0) + $n;
            }
        }

        return new self($units);
    }

    public function without(int $size): self
    {
        $units = $this->units;
        $units[$size]--;

        return new self(array_filter($units));
    }

    /** Whether some of the units add up to exactly so many questions. */
    public function makes(int $n): bool
    {
        return $n === 0 || ($n > 0 && $n <= $this->total && (($this->units[1] ?? 0) >= $n || $this->sums($n)[$n]));
    }

    /**
     * Which counts can be made of whole units (bounded subset sums).
     *
     * @return list<bool> from 0 to `most`
     */
    public function sums(int $most): array
    {
        $can = [true] + array_fill(0, $most + 1, false);
        foreach ($this->units as $size => $n) {
            // Of each sum that was reached before, how many of this size it takes to get there; so each size costs
            // O(most).
            $used = array_fill(0, $most + 1, 0);
            for ($sum = $size; $sum <= $most; $sum++) {
                if (! $can[$sum] && $can[$sum - $size] && $used[$sum - $size] < $n) {
                    $can[$sum] = true;
                    $used[$sum] = $used[$sum - $size] + 1;
                }
            }
        }

        return $can;
    }
}
