<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Contract\MapOf;

final readonly class HandedInView
{
    /** @param  object  $refused  Event id: why it does not count. */
    public function __construct(
        public string $sitting,
        #[MapOf('string')] public object $refused,
    ) {
    }
}
