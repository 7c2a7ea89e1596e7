<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;
use Uplandia\Core\Marking\Outcome;

/** A response of which a candidate asked, in tutor mode, whether it is right. The first one counts. */
#[OA\Schema(schema: 'Try')]
final readonly class TryView
{
    public function __construct(
        #[OA\Property(type: 'object', additionalProperties: true)] public object $response,
        #[OA\Property(enum: Outcome::class)] public Outcome $outcome,
    ) {
    }
}
