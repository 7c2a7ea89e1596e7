<?php

declare(strict_types=1);

namespace App\Result;

use Brick\Math\BigRational;
use OpenApi\Attributes as OA;
use Uplandia\Core\Marking\Scale;

/** The result of a fixed paper on the exam's own scale. */
#[OA\Schema(schema: 'Scaled')]
final readonly class ScaledView
{
    public function __construct(
        #[OA\Property] public int $score,
        #[OA\Property] public int $low,
        #[OA\Property(description: 'The score that passes.')] public int $cut,
        #[OA\Property] public int $high,
        #[OA\Property(description: 'By the exact share, never by rounding.')] public bool $passes,
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
