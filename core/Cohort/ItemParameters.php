<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

/** P(θ) = c + (1 − c)/(1 + e^−(aθ + d)), with θ in standard deviations of the cohort. */
final readonly class ItemParameters
{
    /** Difficulty on the scale of θ: −d/a. */
    public float $b;

    /**
     * @param  float|null  $seA  standard error of a, of the common one where all items share it; null when too little
     *   was answered
     * @param  float|null  $seB  standard error of b; null when too little was answered
     */
    public function __construct(
        public float $a,
        public float $d,
        public float $c,
        public ?float $seA,
        public ?float $seB,
    ) {
        $this->b = -$d / $a;
    }
}
