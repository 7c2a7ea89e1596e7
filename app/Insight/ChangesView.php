<?php

declare(strict_types=1);

namespace App\Insight;

use OpenApi\Attributes as OA;

/** First answers against last ones. */
#[OA\Schema(schema: 'Changes')]
final readonly class ChangesView
{
    public function __construct(
        #[OA\Property] public int $wrongToRight,
        #[OA\Property] public int $rightToWrong,
        #[OA\Property] public int $wrongToWrong,
    ) {
    }
}
