<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bench\CoreTrial;
use App\Bench\PageTrial;
use App\Bench\Row;
use App\Bench\SaveTrial;
use App\Bench\ScaleBank;
use App\Bench\ScaleTrial;
use Illuminate\Console\Command;

final class Bench extends Command
{
    protected $signature = 'bench
        {part : core (the computation), scale (pages over 100,000 questions), save, or page (in a browser)}
        {--only= : Part of what a row measures}
        {--make : Make the large bank in an empty database, and measure nothing}';

    protected $description = 'Measure, each thing beside the same work done by hand';

    public function handle(): int
    {
        if ($this->option('make') === true) {
            $this->laravel->make(ScaleBank::class)->make();

            return self::SUCCESS;
        }
        $rows = match ($this->argument('part')) {
            'core' => $this->core(),
            'scale' => $this->laravel->make(ScaleTrial::class)->rows(),
            'save' => $this->laravel->make(SaveTrial::class)->rows(),
            'page' => $this->laravel->make(PageTrial::class)->rows(),
            default => null,
        };
        if ($rows === null) {
            $this->error('There are the parts core, scale, save and page.');

            return self::INVALID;
        }
        $cells = [];
        $held = true;
        foreach ($rows as $row) {
            $this->output->write('.');
            $cells[] = $row->cells();
            $held = $held && $row->held();
        }
        $this->newLine();
        $this->table(Row::HEAD, $cells);

        return $held ? self::SUCCESS : self::FAILURE;
    }

    /** @return iterable<Row> */
    private function core(): iterable
    {
        $only = $this->option('only');
        foreach ((new CoreTrial())->all() as $what => $measure) {
            if (! is_string($only) || str_contains($what, $only)) {
                yield $measure();
            }
        }
    }
}
