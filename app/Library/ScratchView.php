<?php

declare(strict_types=1);

namespace App\Library;

use OpenApi\Attributes as OA;

/** The scratch pad of one sitting. */
#[OA\Schema(schema: 'Scratch')]
final readonly class ScratchView
{
    /** @param  list<string>  $strokes */
    public function __construct(
        #[OA\Property] public string $words,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'string'),
                description: 'What was drawn, each stroke as its points: "12,40 13,42".',
            ),
        ]
        public array $strokes,
    ) {
    }
}
