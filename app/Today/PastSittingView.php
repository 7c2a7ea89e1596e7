<?php

declare(strict_types=1);

namespace App\Today;

use OpenApi\Attributes as OA;
use Uplandia\Core\Assembly\Mode;

#[OA\Schema(schema: 'PastSitting')]
final readonly class PastSittingView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property(enum: Mode::class)] public Mode $mode,
        #[OA\Property] public int $endedAt,
        #[OA\Property] public int $questions,
        #[OA\Property] public int $answered,
        #[OA\Property(description: 'None of an adaptive test: they say nothing.', nullable: true)]
        public ?string $marks,
        #[OA\Property] public string $possible,
        #[OA\Property(nullable: true)] public ?string $shareOfAll,
    ) {
    }
}
