<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

/** What went best so far. */
#[OA\Schema(schema: 'Bests')]
final readonly class BestsView
{
    public function __construct(
        #[OA\Property(ref: BestTestView::class, nullable: true, description: 'The timed test of at least twenty questions with the highest share; null: there was none that counts.')]
        public ?BestTestView $timed,
        #[OA\Property(ref: StudyDayView::class, nullable: true, description: 'On which most was answered.')]
        public ?StudyDayView $day,
        #[OA\Property(description: 'The most days in a row on which something was handed in.')] public int $run,
        #[OA\Property(description: 'Days in a row up to today, or to yesterday; 0: none.')] public int $runNow,
    ) {
    }
}
