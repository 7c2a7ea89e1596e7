<?php

declare(strict_types=1);

namespace App\Insight;

use OpenApi\Attributes as OA;

/** Sureness against outcome, counted. */
#[OA\Schema(schema: 'Footing')]
final readonly class FootingView
{
    public function __construct(
        #[OA\Property(description: 'Sure and right.')] public int $firm,
        #[OA\Property(description: 'Sure and wrong.')] public int $falseFooting,
        #[OA\Property(description: 'A guess and right.')] public int $luckyStep,
        #[OA\Property(description: 'A guess and wrong.')] public int $openGround,
    ) {
    }
}
