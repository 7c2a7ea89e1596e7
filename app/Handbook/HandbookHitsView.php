<?php

declare(strict_types=1);

namespace App\Handbook;

final readonly class HandbookHitsView
{
    /** @param  list<HandbookHitView>  $hits  In the order of the pages. */
    public function __construct(
        public array $hits,
    ) {
    }
}
