<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;

/** What a device needs of a sitting, beside its questions, to go on without a connection. */
#[OA\Schema(schema: 'Pack')]
final readonly class PackView
{
    /** @param  list<ExplanationView>  $explanations */
    public function __construct(
        #[OA\Property] public string $id,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: ExplanationView::class),
                description: 'Of every question, as far as it is answered by now. Only in tutor mode.',
            ),
        ]
        public array $explanations,
    ) {
    }
}
