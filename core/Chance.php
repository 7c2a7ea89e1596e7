<?php

declare(strict_types=1);

namespace Uplandia\Core;

use Random\Randomizer;

/** Seeded draws from the distributions that a simulation needs. */
final readonly class Chance
{
    private const STEPS = 1 << 53;

    public function __construct(private Randomizer $chance)
    {
    }

    /** Evenly from 0 up to, not with, 1. */
    public function uniform(): float
    {
        return $this->chance->getInt(0, self::STEPS - 1) / self::STEPS;
    }

    public function happens(float $probability): bool
    {
        return $this->uniform() < $probability;
    }

    /** Normal, by the polar form's plain cousin (Box & Muller 1958). */
    public function normal(float $mean = 0.0, float $deviation = 1.0): float
    {
        return $mean + $deviation * sqrt(-2 * log(1 - $this->uniform())) * cos(2 * M_PI * $this->uniform());
    }

    /** e to a normal: a positive number round 1. */
    public function lognormal(float $deviation): float
    {
        return exp($this->normal(0, $deviation));
    }

    /** @param  int  $to  not below from */
    public function between(int $from, int $to): int
    {
        return $this->chance->getInt($from, $to);
    }

    /**
     * One of some, by weight.
     *
     * @template K of array-key
     *
     * @param  non-empty-array<K, float>  $weights  not negative, not all 0
     * @return K
     */
    public function pick(array $weights): int|string
    {
        $at = $this->uniform() * array_sum($weights);
        $last = array_key_first($weights);
        foreach ($weights as $key => $weight) {
            $last = $key;
            $at -= $weight;
            if ($at < 0) {
                return $key;
            }
        }

        return $last;
    }

    /**
     * @template T
     *
     * @param  list<T>  $values
     * @return list<T>
     */
    public function shuffled(array $values): array
    {
        return $this->chance->shuffleArray($values);
    }

    /** @param  array<string>  $values  at least one */
    public function one(array $values): string
    {
        return $this->shuffled(array_values($values))[0] ?? '';
    }
}
