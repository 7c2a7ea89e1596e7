<?php

declare(strict_types=1);

namespace App\Sitting;

/** The code by which others sit the same test. */
final readonly class SharedView
{
    public function __construct(
        public string $code,
    ) {
    }
}
