<?php

declare(strict_types=1);

namespace App\Library;

use OpenApi\Attributes as OA;

/** All pages of a handbook that a candidate has read, noted or marked, in its order. */
#[OA\Schema(schema: 'PagesKept')]
final readonly class PagesKeptView
{
    /** @param  list<PageKeptView>  $pages */
    public function __construct(
        #[OA\Property(nullable: true, description: 'Where they stopped reading.')] public ?string $stopped,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PageKeptView::class))] public array $pages,
    ) {
    }
}
