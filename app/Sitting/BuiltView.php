<?php

declare(strict_types=1);

namespace App\Sitting;

final readonly class BuiltView
{
    /** @param  string  $sitting  The sitting that is ready to begin. */
    public function __construct(
        public string $sitting,
    ) {
    }
}
