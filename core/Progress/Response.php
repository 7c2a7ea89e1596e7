<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

/** One piece of independent evidence. */
final readonly class Response
{
    /**
     * @param  int  $topic  index of the topic, from 0
     * @param  float  $b  difficulty of the question
     * @param  float  $c  chance of being right by luck, 0 ≤ c < 1
     * @param  float  $x  outcome, 0 to 1; partial credit is a fraction
     * @param  float  $w  weight, more than 0; see Evidence::weight
     */
    public function __construct(
        public int $topic,
        public float $b,
        public float $c,
        public float $x,
        public float $w = 1.0,
    ) {
    }
}
