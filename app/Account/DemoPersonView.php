<?php

declare(strict_types=1);

namespace App\Account;

/** A made-up person to sign in as with one click. */
final readonly class DemoPersonView
{
    public function __construct(
        public string $key,
        public string $name,
        public string $about,
    ) {
    }
}
