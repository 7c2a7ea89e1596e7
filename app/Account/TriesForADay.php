<?php

declare(strict_types=1);

namespace App\Account;

use DateTimeInterface;
use Illuminate\Support\Carbon;

/** A letter that could not be sent is tried again, ever less often, for a day: longer its links would not work. */
trait TriesForADay
{
    /** @var list<int> seconds until the next try */
    public array $backoff = [5, 30, 120, 600, 1800];

    public function retryUntil(): DateTimeInterface
    {
        return Carbon::now()->addDay();
    }
}
