<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;

/** What dropping one filter would add. */
#[OA\Schema(schema: 'Gain')]
final readonly class GainView
{
    public function __construct(
        #[
            OA\Property(
                description: 'Name of the filter in the recipe.',
                enum: ['topics', 'pools', 'difficulties', 'kinds', 'tags', 'words', 'only'],
            ),
        ]
        public string $filter,
        #[OA\Property] public string $label,
        #[OA\Property(description: 'How many questions more.')] public int $more,
    ) {
    }
}
