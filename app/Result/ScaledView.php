<?php

declare(strict_types=1);

namespace App\Result;

use Brick\Math\BigRational;
use Uplandia\Core\Marking\Scale;

/** The result of a fixed paper on the exam's own scale. */
final readonly class ScaledView
{
    /**
     * @param  int  $cut  The score that passes.
     * @param  bool  $passes  By the exact share, never by rounding.
     */
    public function __construct(
        public int $score,
        public int $low,
        public int $cut,
        public int $high,
        public bool $passes,
    ) {
    }

    public static function of(Scale $scale, BigRational $share): self
    {
        return new self(
            score: $scale->score($share),
            low: $scale->low,
            cut: $scale->cutScore,
            high: $scale->high,
            passes: $scale->passes($share),
        );
    }
}
