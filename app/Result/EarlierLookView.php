<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;
use Uplandia\Core\Marking\Outcome;

/** What came of a question in an earlier sitting of the same candidate. */
#[OA\Schema(schema: 'EarlierLook')]
final readonly class EarlierLookView
{
    public function __construct(
        #[OA\Property(description: 'Unix milliseconds.')] public int $at,
        #[OA\Property(enum: Outcome::class)] public Outcome $outcome,
    ) {
    }
}
