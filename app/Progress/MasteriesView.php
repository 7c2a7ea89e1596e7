<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Masteries')]
final readonly class MasteriesView
{
    /** @param  list<MasteryView>  $topics */
    public function __construct(
        #[OA\Property(description: 'The share that passes.')] public float $cut,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: MasteryView::class),
                description: 'At the top, in the order of the blueprint.',
            ),
        ]
        public array $topics,
    ) {
    }
}
