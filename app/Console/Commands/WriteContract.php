<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Http\Contract\Contract;
use Illuminate\Console\Command;

final class WriteContract extends Command
{
    protected $signature = 'contract:write {--check : Only say whether the file on disk is up to date}';

    protected $description = 'Write openapi.json from the attributes of controllers and views';

    public function handle(): int
    {
        $file = base_path(Contract::FILE);
        $json = Contract::json();
        if (! $this->option('check')) {
            file_put_contents($file, $json);
            $this->info('Wrote '.Contract::FILE.'.');

            return self::SUCCESS;
        }
        if (! is_file($file) || file_get_contents($file) !== $json) {
            $this->error(Contract::FILE.' is stale. Run ./uplandia contract and commit what it writes.');

            return self::FAILURE;
        }
        $this->info(Contract::FILE.' is up to date.');

        return self::SUCCESS;
    }
}
