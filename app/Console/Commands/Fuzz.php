<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bench\FuzzTrial;
use Illuminate\Console\Command;

final class Fuzz extends Command
{
    protected $signature = 'fuzz {--requests=10000} {--seed=uplands}';

    protected $description = 'Send hostile requests to every route of the contract, and count what is answered';

    public function handle(FuzzTrial $trial): int
    {
        $trial->run((int) $this->option('requests'), (string) $this->option('seed'));
        $rows = [];
        foreach ($trial->statuses as $status => $n) {
            $rows[] = [$status === 0 ? 'no answer' : $status, $n];
        }
        $this->table(['Status', 'Answers'], $rows);
        foreach ($trial->broken as $request) {
            $this->error($request);
        }

        return $trial->broken === [] ? self::SUCCESS : self::FAILURE;
    }
}
