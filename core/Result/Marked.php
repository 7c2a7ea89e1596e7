<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\MarkScheme;

/** One question of a sitting with what it earned. */
final readonly class Marked
{
    public function __construct(public Credit $credit, public MarkScheme $scheme)
    {
    }
}
