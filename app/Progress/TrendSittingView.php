<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;
use Uplandia\Core\Assembly\Mode;

/** How a sitting came out, among those of its mode. Shares are 0 to 1. */
#[OA\Schema(schema: 'TrendSitting')]
final readonly class TrendSittingView
{
    public function __construct(
        #[OA\Property] public string $sitting,
        #[OA\Property] public int $at,
        #[OA\Property(enum: Mode::class)] public Mode $mode,
        #[OA\Property(description: 'Answers.')] public int $n,
        #[OA\Property(description: 'Mean credit of what was answered.')] public float $share,
        #[OA\Property(description: 'Wilson 95 %.')] public float $low,
        #[OA\Property(description: 'Wilson 95 %.')] public float $high,
        #[OA\Property(nullable: true, description: 'The smooth line there; null: too few sittings for one.')] public ?float $line,
    ) {
    }
}
