<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bench\Crowd;
use App\Bench\TrialServer;
use Illuminate\Console\Command;

final class Load extends Command
{
    protected $signature = 'load {--people=200} {--seconds=60} {--pause=5 : Seconds between the saves of one person}
        {--workers=6}';

    protected $description = 'Let many people answer at once over HTTP, and look whether anything failed or got lost';

    public function handle(Crowd $crowd): int
    {
        $people = (int) $this->option('people');
        $server = new TrialServer((int) $this->option('workers'));
        $this->line("Gathering {$people} people …");
        $crowd->gather($people);
        $server->start();
        $crowd->answer($server->address, (float) $this->option('seconds'), (float) $this->option('pause'));
        $server->stop();
        $statuses = $crowd->statuses();
        $rows = [];
        foreach ($statuses as $status => $n) {
            $rows[] = [$status === 0 ? 'no answer' : $status, $n];
        }
        $this->table(['Status', 'Saves'], $rows);
        $this->line(sprintf(
            'p50 %.0f ms, p95 %.0f ms, p99 %.0f ms',
            $crowd->percentile(0.5),
            $crowd->percentile(0.95),
            $crowd->percentile(0.99),
        ));
        $missing = $crowd->missing();
        $this->line("Acknowledged events: {$crowd->acknowledged()}; of them and of highlights missing: {$missing}");
        $failed = array_sum(array_diff_key($statuses, [200 => 0, 204 => 0]));

        return $missing === 0 && $failed === 0 && $statuses !== [] ? self::SUCCESS : self::FAILURE;
    }
}
