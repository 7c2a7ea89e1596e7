<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Http\Contract\Contract;
use App\Http\Contract\Limits;
use Illuminate\Console\Command;

final class WriteContract extends Command
{
    protected $signature = 'contract:write {--check : Only say whether the files on disk are up to date}';

    protected $description = 'Write openapi.json from controllers, requests and views, and the limits that the page reads from it';

    public function handle(): int
    {
        $contract = Contract::json();
        $stale = false;
        foreach ([Contract::FILE => $contract, Limits::FILE => Limits::typescript($contract)] as $name => $text) {
            $file = base_path($name);
            if (! $this->option('check')) {
                file_put_contents($file, $text);
                $this->info("Wrote {$name}.");
            } elseif (! is_file($file) || file_get_contents($file) !== $text) {
                $this->error("{$name} is stale. Run ./uplandia contract and commit what it writes.");
                $stale = true;
            }
        }

        return $stale ? self::FAILURE : self::SUCCESS;
    }
}
