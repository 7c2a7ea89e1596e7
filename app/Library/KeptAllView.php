<?php

declare(strict_types=1);

namespace App\Library;

final readonly class KeptAllView
{
    /** @param  list<KeptView>  $questions  Those that have a star, a note or highlights, in order. */
    public function __construct(
        public array $questions,
    ) {
    }
}
