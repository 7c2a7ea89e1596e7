<?php

declare(strict_types=1);

namespace App\Clock;

use DateTimeImmutable;
use Illuminate\Support\Carbon;
use Psr\Clock\ClockInterface;

/**
 * The server's clock, which is the truth. Tests and the demo's past set Carbon's; a server of the demo's may live some
 * days ahead, so that a browser test sees tomorrow.
 */
final readonly class SystemClock implements ClockInterface
{
    public function __construct(private int $daysAhead = 0)
    {
    }

    public function now(): DateTimeImmutable
    {
        // A clock that was set is right: whoever set it began from here, so what is ahead is in it already.
        $ahead = Carbon::hasTestNow() ? 0 : $this->daysAhead;

        return Carbon::now()->addDays($ahead)->toDateTimeImmutable();
    }
}
