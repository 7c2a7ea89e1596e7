<?php

declare(strict_types=1);

namespace App\Result;

use App\Http\Contract\MapOf;

/** How the cohort answered a question at first sight. There is none before enough have. */
final readonly class CohortAnswersView
{
    /** Option id: share of those who chose one. */
    #[MapOf('float')]
    public object $options;

    /**
     * @param  int  $n  How many answers it rests on.
     * @param  float  $facility  Mean credit, from 0 to 1.
     * @param  int|null  $medianMs  Median time on it.
     * @param  array<string, float>  $options
     */
    public function __construct(
        public int $n,
        public float $facility,
        public ?int $medianMs,
        array $options,
    ) {
        $this->options = (object) $options;
    }
}
