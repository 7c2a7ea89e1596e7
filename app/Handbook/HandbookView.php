<?php

declare(strict_types=1);

namespace App\Handbook;

use OpenApi\Attributes as OA;

/** The contents of an exam's handbook, in order. */
#[OA\Schema(schema: 'Handbook')]
final readonly class HandbookView
{
    /** @param  list<SectionLinkView>  $sections */
    public function __construct(
        #[OA\Property] public string $exam,
        #[OA\Property] public string $examName,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SectionLinkView::class))] public array $sections,
    ) {
    }
}
