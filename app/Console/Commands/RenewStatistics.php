<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Cohort\CohortRenewal;
use App\Cohort\ItemStatisticsStore;
use App\Question\Exam;
use Illuminate\Console\Command;

/** Item statistics and difficulties from the cohort's first looks. Never in a request: it reads all of them. */
final class RenewStatistics extends Command
{
    protected $signature = 'statistics:renew {--exam= : Only this exam} {--due : Only where enough has been sat since}';

    protected $description = 'Renew what the cohort\'s answers say of each question';

    public function handle(ItemStatisticsStore $statistics, CohortRenewal $renewal): int
    {
        $slug = $this->option('exam');
        $exams = Exam::query()->when($slug !== null, fn ($exams) => $exams->where('slug', $slug))->get();
        if ($exams->isEmpty()) {
            $this->error(is_string($slug) ? "There is no exam \"{$slug}\"." : 'There is no exam yet.');

            return self::FAILURE;
        }
        foreach ($exams as $exam) {
            if ($this->option('due') && ! $statistics->isDue($exam)) {
                $this->line("{$exam->name}: nothing to do yet.");

                continue;
            }
            $versions = $renewal->renew($exam);
            $this->line("{$exam->name}: {$versions} questions.");
        }

        return self::SUCCESS;
    }
}
