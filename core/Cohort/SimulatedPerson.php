<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

/** A candidate as the simulation has them. */
final readonly class SimulatedPerson
{
    /**
     * @param  list<float>  $theta  true ability, by topic
     * @param  float  $speed  τ: log seconds saved on every question
     * @param  float  $bias  added to the felt chance of being right, in logits; positive is over-confident
     * @param  float  $quitsAfter  share of a test after which they give up; 1: never
     * @param  float  $rushesAfter  share of a test after which they guess rapidly; 1: never
     */
    public function __construct(
        public array $theta,
        public float $speed,
        public float $bias,
        public float $quitsAfter = 1.0,
        public float $rushesAfter = 1.0,
    ) {
    }

    /**
     * The same one on another footing.
     *
     * @param  float  $ability  added to it in every topic
     * @param  float  $speed  added to it: log seconds saved on every question
     */
    public function shifted(float $ability, float $speed = 0.0): self
    {
        return new self(
            theta: array_map(static fn (float $theta): float => $theta + $ability, $this->theta),
            speed: $this->speed + $speed,
            bias: $this->bias,
            quitsAfter: $this->quitsAfter,
            rushesAfter: $this->rushesAfter,
        );
    }
}
