<?php

declare(strict_types=1);

namespace App\Library;

use OpenApi\Attributes as OA;

/** What a candidate keeps with a question, beyond any sitting. */
#[OA\Schema(schema: 'Kept')]
final readonly class KeptView
{
    /** @param  list<HighlightView>  $highlights */
    public function __construct(
        #[OA\Property] public int $position,
        #[OA\Property] public bool $starred,
        #[OA\Property(description: 'Empty: none.')] public string $note,
        #[OA\Property(type: 'array', items: new OA\Items(ref: HighlightView::class))] public array $highlights,
    ) {
    }
}
