<?php

declare(strict_types=1);

namespace App\Http\Contract;

use Attribute;

/** An object whose names nobody knows beforehand, and what stands under each: a type as in a docblock. */
#[Attribute(Attribute::TARGET_PARAMETER | Attribute::TARGET_PROPERTY)]
final readonly class MapOf
{
    public function __construct(public string $type)
    {
    }
}
