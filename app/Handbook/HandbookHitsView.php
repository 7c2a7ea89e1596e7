<?php

declare(strict_types=1);

namespace App\Handbook;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'HandbookHits')]
final readonly class HandbookHitsView
{
    /** @param  list<HandbookHitView>  $hits */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: HandbookHitView::class), description: 'In the order of the pages.')]
        public array $hits,
    ) {
    }
}
