<?php

declare(strict_types=1);

namespace App\Account;

use OpenApi\Attributes as OA;

/** A made-up person to sign in as with one click. */
#[OA\Schema(schema: 'DemoPerson')]
final readonly class DemoPersonView
{
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $name,
        #[OA\Property] public string $about,
    ) {
    }
}
