<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bench\Measurements;
use App\Bench\SaveTrial;
use Illuminate\Console\Command;

final class Bench extends Command
{
    protected $signature = 'bench {--only= : Part of a measurement\'s name}';

    protected $description = 'Measure the core, each beside a bare PHP loop over the same data';

    public function handle(Measurements $measurements, SaveTrial $saves): int
    {
        $rows = [];
        foreach ($measurements->all() as $name => $measure) {
            if (is_string($this->option('only')) && ! str_contains($name, $this->option('only'))) {
                continue;
            }
            $rows[] = [$name, ...$measure()];
        }
        if (! is_string($this->option('only')) || str_contains('A save', $this->option('only'))) {
            array_push($rows, ...$saves->rows());
        }
        $this->table(['What', 'Time', 'Wanted', 'Met', 'Ratio to bare', 'Peak memory'], $rows);

        return self::SUCCESS;
    }
}
