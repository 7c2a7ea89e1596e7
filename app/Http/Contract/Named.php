<?php

declare(strict_types=1);

namespace App\Http\Contract;

use Attribute;

/**
 * The name of a shape in the contract, where it is not its class's without "View"; and whether a browser sends it: then
 * what has a default may be left out.
 */
#[Attribute(Attribute::TARGET_CLASS)]
final readonly class Named
{
    public function __construct(public string $name, public bool $sent = false)
    {
    }
}
