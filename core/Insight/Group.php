<?php

declare(strict_types=1);

namespace Uplandia\Core\Insight;

use Uplandia\Core\Scoring\Status;
use Uplandia\Core\Scoring\Totals;

/** What one group of questions came to. */
final readonly class Group
{
    /**
     * @param  string  $name  the value that its questions share
     * @param  float|null  $meanMs  of those that were answered; null: none was
     */
    public function __construct(public string $name, public Totals $totals, public ?float $meanMs, public Status $status)
    {
    }
}
