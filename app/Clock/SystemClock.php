<?php

declare(strict_types=1);

namespace App\Clock;

use DateTimeImmutable;
use Illuminate\Support\Carbon;
use Psr\Clock\ClockInterface;

/** The server's clock, which is the truth. Tests and the demo's past set Carbon's. */
final class SystemClock implements ClockInterface
{
    public function now(): DateTimeImmutable
    {
        return Carbon::now()->toDateTimeImmutable();
    }
}
