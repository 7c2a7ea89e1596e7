<?php

declare(strict_types=1);

namespace App\Http\Contract;

use Attribute;

/** A text that is a day, such as 2031-05-09; or a list of them. */
#[Attribute(Attribute::TARGET_PARAMETER | Attribute::TARGET_PROPERTY)]
final readonly class Day
{
}
