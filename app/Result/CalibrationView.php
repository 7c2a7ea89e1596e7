<?php

declare(strict_types=1);

namespace App\Result;

use Uplandia\Core\Result\Leaning;
use Uplandia\Core\Result\SurenessReport;

/** What was said against what came true, over all answers for which sureness was stated. */
final readonly class CalibrationView
{
    /**
     * @param  int  $n  Answers of which it was stated.
     * @param  float  $off  Mean stated value less mean credit; positive: surer than right.
     * @param  float|null  $low  Of it, 95 %; null: too few for any.
     * @param  float|null  $high  Of it, 95 %; null: too few for any.
     * @param  float  $brier  Mean squared distance of stated value and credit.
     * @param  bool  $thin  Too few to say much.
     */
    public function __construct(
        public int $n,
        public float $off,
        public ?float $low,
        public ?float $high,
        public float $brier,
        public Leaning $leaning,
        public bool $thin,
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
