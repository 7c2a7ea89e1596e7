<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'HandedIn')]
final readonly class HandedInView
{
    public function __construct(
        #[OA\Property] public string $sitting,
        #[
            OA\Property(
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(type: 'string'),
                description: 'Event id: why it does not count.',
            ),
        ]
        public object $refused,
    ) {
    }
}
