<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

/** A question that an adaptive test may ask. */
final readonly class AdaptiveItem
{
    /**
     * @param  int  $id  of the question
     * @param  int  $topic  index of the topic, from 0
     * @param  float  $b  difficulty, on the scale of ability
     * @param  float  $c  chance of being right by luck, 0 ≤ c < 1
     * @param  int|null  $unit  the case, passage or series it belongs to; null: it stands alone
     * @param  float  $exposure  share of all adaptive tests that it was in, 0 to 1
     * @param  bool  $met  whether the candidate has met it before: what is remembered tells little
     */
    public function __construct(
        public int $id,
        public int $topic,
        public float $b,
        public float $c,
        public ?int $unit = null,
        public float $exposure = 0.0,
        public bool $met = false,
    ) {
    }

    /**
     * Fisher's information on ability at θ: (1 − c)·q²·(1 − q)²·(1 − c)/(p(1 − p)), q = σ(θ − b), p = c + (1 − c)q.
     */
    public function information(float $theta): float
    {
        $q = 1 / (1 + exp($this->b - $theta));
        $p = $this->c + (1 - $this->c) * $q;
        $spread = $p * (1 - $p);

        return $spread <= 0.0 ? 0.0 : ((1 - $this->c) * $q * (1 - $q)) ** 2 / $spread;
    }
}
