<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;

/** The code by which others sit the same test. */
#[OA\Schema(schema: 'Shared')]
final readonly class SharedView
{
    public function __construct(#[OA\Property] public string $code)
    {
    }
}
