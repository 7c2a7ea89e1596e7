<?php

declare(strict_types=1);

namespace Uplandia\Core\Scoring;

use Uplandia\Core\Marking\Credit;

/** One question of a sitting with what it earned. */
final readonly class Marked
{
    public function __construct(public Credit $credit, public MarkScheme $scheme)
    {
    }
}
