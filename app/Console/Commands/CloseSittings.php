<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Sitting\Closing;
use App\Sitting\Deleting;
use Illuminate\Console\Command;

/** Closes what is over and waits for nobody, and clears away what was deleted and can come back no more. */
final class CloseSittings extends Command
{
    protected $signature = 'sittings:close';

    protected $description = 'Close sittings whose time ran out while nobody was there';

    public function handle(Closing $closing, Deleting $deleting): int
    {
        $deleting->purge();
        $this->line("Closed: {$closing->closeAllOver()}.");

        return self::SUCCESS;
    }
}
