<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

/**
 * Ability in each topic with its covariance. The covariance of θ is diagonal plus a rank of one: own[t] on the
 * diagonal
 * and common·shared[t]·shared[u] everywhere, which is what the inverse of an arrowhead comes to.
 */
final readonly class Ability
{
    /**
     * @param  list<float>  $theta  by topic
     * @param  list<float>  $own
     * @param  list<float>  $shared
     */
    public function __construct(
        public array $theta,
        private array $own,
        private array $shared,
        private float $common,
    ) {
    }

    public function variance(int $topic): float
    {
        return $this->own[$topic] + $this->common * $this->shared[$topic] ** 2;
    }

    public function covariance(int $topic, int $other): float
    {
        return ($topic === $other ? $this->own[$topic] : 0.0) +
            $this->common * $this->shared[$topic] * $this->shared[$other];
    }

    /**
     * gᵀCg in O(topics).
     *
     * @param  list<float>  $g  by topic
     */
    public function varianceAlong(array $g): float
    {
        $own = $shared = 0.0;
        foreach ($g as $t => $slope) {
            $own += $slope * $slope * $this->own[$t];
            $shared += $slope * $this->shared[$t];
        }

        return $own + $this->common * $shared * $shared;
    }
}
