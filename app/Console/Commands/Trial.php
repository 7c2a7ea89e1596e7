<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bench\OutlookTrial;
use Illuminate\Console\Command;

final class Trial extends Command
{
    protected $signature = 'trial {--people=6000 : How many new people} {--seed=outlook trial}';

    protected $description = 'Try whether the pass outlook is calibrated: of those given about 70 %, do about 70 % pass?';

    public function handle(): int
    {
        $trial = OutlookTrial::run(max(1, (int) $this->option('people')), (string) $this->option('seed'));
        $this->table(
            ['Outlook', 'People', 'Predicted', 'Passed', 'Difference'],
            array_map(
                fn (array $band): array => [
                    sprintf('%.1f–%.1f', $band['from'], $band['from'] + 0.1),
                    $band['n'],
                    sprintf('%.3f', $band['predicted']),
                    sprintf('%.3f', $band['observed']),
                    sprintf('%+.3f', $band['observed'] - $band['predicted']),
                ],
                $trial->bands,
            ),
        );
        $this->line(
            sprintf(
                'Base rate %.3f, Brier score %.4f, Brier skill against the base rate %.3f.',
                $trial->baseRate,
                $trial->brier,
                $trial->skill,
            ),
        );

        return self::SUCCESS;
    }
}
