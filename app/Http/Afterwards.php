<?php

declare(strict_types=1);

namespace App\Http;

use Closure;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Foundation\Application;
use Throwable;

/**
 * What reading leads to and can wait until the answer has gone out. Nobody who reads waits for a writer, and where
 * nothing can be written, reading goes on.
 */
final readonly class Afterwards
{
    public function __construct(private Application $app, private ExceptionHandler $faults)
    {
    }

    /** @param  Closure(): void  $work  can be left undone, and is then done some other time */
    public function do(Closure $work): void
    {
        if ($this->app->runningInConsole() && ! $this->app->runningUnitTests()) {
            $work();

            return;
        }
        $left = [$work];
        // An application that answers several requests calls all it was ever told; this is done once.
        $this->app->terminating(function () use (&$left): void {
            try {
                (array_pop($left) ?? static fn () => null)();
            } catch (Throwable $fault) {
                $this->faults->report($fault);
            }
        });
    }
}
