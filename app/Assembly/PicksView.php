<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Picks')]
final readonly class PicksView
{
    /** @param  list<PickView>  $questions  of this page */
    public function __construct(
        #[OA\Property(description: 'Of all pages.')] public int $total,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PickView::class))] public array $questions,
    ) {
    }
}
