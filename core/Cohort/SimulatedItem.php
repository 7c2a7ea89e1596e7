<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

/** A question as the simulation has it. */
final readonly class SimulatedItem
{
    /**
     * @param  int  $topic  index, from 0
     * @param  float  $b  true difficulty
     * @param  float  $a  true slope
     * @param  float  $c  chance of being right by luck
     * @param  float  $logSeconds  mean log time (β)
     * @param  string|null  $key  for single answers
     * @param  array<string, float>  $distractors  option id => how plausible it looks
     */
    public function __construct(
        public int $id,
        public int $topic,
        public float $b,
        public float $a,
        public float $c,
        public float $logSeconds,
        public ?string $key = null,
        public array $distractors = [],
    ) {
    }

    /** The same one under another id. */
    public function as(int $id): self
    {
        return new self(
            id: $id,
            topic: $this->topic,
            b: $this->b,
            a: $this->a,
            c: $this->c,
            logSeconds: $this->logSeconds,
            key: $this->key,
            distractors: $this->distractors,
        );
    }
}
