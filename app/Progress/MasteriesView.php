<?php

declare(strict_types=1);

namespace App\Progress;

final readonly class MasteriesView
{
    /**
     * @param  float  $cut  The share that passes.
     * @param  list<MasteryView>  $topics  At the top, in the order of the blueprint.
     */
    public function __construct(
        public float $cut,
        public array $topics,
    ) {
    }
}
