<?php

declare(strict_types=1);

namespace App\Plan;

use OpenApi\Attributes as OA;

/** Questions of one topic. */
#[OA\Schema(schema: 'PlanPart')]
final readonly class PlanPartView
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property] public int $questions,
    ) {
    }
}
