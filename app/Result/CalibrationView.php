<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;
use Uplandia\Core\Result\Leaning;
use Uplandia\Core\Result\SurenessReport;

/** What was said against what came true, over all answers for which sureness was stated. */
#[OA\Schema(schema: 'Calibration')]
final readonly class CalibrationView
{
    public function __construct(
        #[OA\Property(description: 'Answers of which it was stated.')] public int $n,
        #[OA\Property(description: 'Mean stated value less mean credit; positive: surer than right.')] public float $off,
        #[OA\Property(nullable: true, description: 'Of it, 95 %; null: too few for any.')] public ?float $low,
        #[OA\Property(nullable: true, description: 'Of it, 95 %; null: too few for any.')] public ?float $high,
        #[OA\Property(description: 'Mean squared distance of stated value and credit.')] public float $brier,
        #[OA\Property(enum: Leaning::class)] public Leaning $leaning,
        #[OA\Property(description: 'Too few to say much.')] public bool $thin,
    ) {
    }

    /** @return self|null null: nothing was stated */
    public static function of(SurenessReport $report): ?self
    {
        return $report->calibration === null || $report->brier === null
            ? null
            : new self(
                n: $report->n,
                off: $report->calibration,
                low: $report->calibrationWithin?->low,
                high: $report->calibrationWithin?->high,
                brier: $report->brier,
                leaning: $report->leaning(),
                thin: $report->isThin(),
            );
    }
}
