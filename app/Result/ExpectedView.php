<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;
use Uplandia\Core\Progress\AdaptiveEnding;

/** What an adaptive test has found out: shares of the whole bank, 0 to 1. */
#[OA\Schema(schema: 'Expected')]
final readonly class ExpectedView
{
    public function __construct(
        #[OA\Property(description: 'What it says of passing.')] public string $sentence,
        #[OA\Property(description: 'That would be answered rightly.')] public float $share,
        #[OA\Property(description: 'It lies between these 95 times in 100.')] public float $low,
        #[OA\Property] public float $high,
        #[
            OA\Property(
                enum: AdaptiveEnding::class,
                nullable: true,
                description: 'On which side of the cut all of that lies; null: it holds the cut.',
            ),
        ]
        public ?AdaptiveEnding $side,
        #[
            OA\Property(
                enum: AdaptiveEnding::class,
                nullable: true,
                description: 'Why it ended; null: its candidate or the clock ended it.',
            ),
        ]
        public ?AdaptiveEnding $ending,
        #[OA\Property(description: 'Questions that were on screen.')] public int $asked,
        #[OA\Property(description: 'Questions it would have asked.')] public int $most,
        #[OA\Property(description: 'It settles nothing before so many.')] public int $least,
    ) {
    }
}
