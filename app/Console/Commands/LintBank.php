<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Workshop\BankLint;
use Illuminate\Console\Command;

final class LintBank extends Command
{
    protected $signature = 'bank:lint {folder?* : Folders of exams; all of the demo\'s if none is given}';

    protected $description = 'Read the question bank as a strict editor would';

    public function handle(BankLint $lint): int
    {
        $folders =
            (array) $this->argument('folder') ?:
            array_map(dirname(...), glob(database_path('demo/*/exam.yaml')) ?: []);
        $clean = true;
        foreach ($folders as $folder) {
            $found = $lint->of((string) $folder);
            $this->line(basename((string) $folder).': '.array_sum($found['counts']['kind']).' questions.');
            foreach (array_filter($found['counts']) as $what => $counts) {
                ksort($counts);
                $this->line(
                    "  by {$what}: ".
                        implode(
                            ', ',
                            array_map(
                                fn (string $name, int $n): string => "{$name} {$n}",
                                array_keys($counts),
                                $counts,
                            ),
                        ),
                );
            }
            foreach ($found['faults'] as $fault) {
                $this->error("  {$fault}");
            }
            $clean = $clean && $found['faults'] === [];
        }
        $this->line($clean ? 'The bank is clean.' : 'The bank has faults.');

        return $clean ? self::SUCCESS : self::FAILURE;
    }
}
