<?php

declare(strict_types=1);

namespace App\Library;

use OpenApi\Attributes as OA;

/** What a candidate keeps with a page of the handbook, and how far they have read it. */
#[OA\Schema(schema: 'PageKept')]
final readonly class PageKeptView
{
    /** @param  list<HighlightView>  $highlights */
    public function __construct(
        #[OA\Property(description: 'Of the page.')] public string $code,
        #[OA\Property] public string $chapter,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'Markdown; empty: there is none.')] public string $note,
        #[OA\Property(type: 'array', items: new OA\Items(ref: HighlightView::class))] public array $highlights,
        #[OA\Property(description: 'Of a lesson, from 0.')] public int $step,
        #[OA\Property(description: 'Read to its end.')] public bool $finished,
    ) {
    }
}
