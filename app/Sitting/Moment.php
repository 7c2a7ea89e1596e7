<?php

declare(strict_types=1);

namespace App\Sitting;

use Illuminate\Support\Carbon;

/** The server's clock as Unix milliseconds. One place, so that tests can set it. */
final class Moment
{
    public static function now(): int
    {
        return (int) Carbon::now()->getPreciseTimestamp(3);
    }
}
