<?php

declare(strict_types=1);

namespace Uplandia\Core\Revisit;

use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Sitting\Sureness;

/** One answer to a question that is in the gap book. */
final readonly class Attempt
{
    /** @param  int  $day  any count of whole days, in the candidate's time zone */
    public function __construct(public int $day, public Outcome $outcome, public ?Sureness $sureness = null)
    {
    }
}
