<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

/** How long an adaptive test may become. */
#[OA\Schema(schema: 'AdaptiveChoice')]
final readonly class AdaptiveChoiceView
{
    public function __construct(
        #[OA\Property(description: 'Questions at most.')] public int $most,
        #[OA\Property(description: 'That the exam would give so many, without extra time.')] public int $minutes,
    ) {
    }
}
