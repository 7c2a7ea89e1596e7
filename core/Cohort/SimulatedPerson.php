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
}
