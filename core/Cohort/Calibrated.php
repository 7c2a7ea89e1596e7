<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

/** What calibration found. */
final readonly class Calibrated
{
    /** @param  list<ItemParameters>  $items */
    public function __construct(
        public array $items,
        /** Marginal log-likelihood of the data, without priors. */
        public float $logLikelihood,
        public int $iterations,
        public bool $converged,
    ) {
    }
}
