<?php

declare(strict_types=1);

namespace App\Library;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'KeptAll')]
final readonly class KeptAllView
{
    /** @param  list<KeptView>  $questions */
    public function __construct(
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: KeptView::class),
                description: 'Those that have a star, a note or highlights, in order.',
            ),
        ]
        public array $questions,
    ) {
    }
}
