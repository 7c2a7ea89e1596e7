<?php

declare(strict_types=1);

namespace App\Library;

use OpenApi\Attributes as OA;

/** All that one has met. */
#[OA\Schema(schema: 'Library')]
final readonly class LibraryView
{
    /** @param  list<MetView>  $met */
    public function __construct(
        #[OA\Property] public string $exam,
        #[OA\Property] public string $examName,
        #[OA\Property(description: 'That pass what is wanted.')] public int $total,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MetView::class), description: 'The latest first.')]
        public array $met,
    ) {
    }
}
