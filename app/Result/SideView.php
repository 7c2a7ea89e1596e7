<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;
use Uplandia\Core\Assembly\Mode;

/** One of two sittings that are held against each other. */
#[OA\Schema(schema: 'Side')]
final readonly class SideView
{
    public function __construct(
        #[OA\Property] public string $sitting,
        #[OA\Property] public string $title,
        #[OA\Property(enum: Mode::class)] public Mode $mode,
        #[OA\Property] public int $endedAt,
        #[OA\Property] public int $activeMs,
        #[OA\Property(description: 'At least 80 % was answered.')] public bool $counts,
        #[OA\Property(ref: GroupView::class)] public GroupView $whole,
        #[OA\Property(ref: CalibrationView::class, nullable: true, description: 'Null: nothing was stated.')]
        public ?CalibrationView $calibration,
    ) {
    }
}
