<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bench\AdaptiveTrial;
use App\Bench\OutlookTrial;
use Illuminate\Console\Command;

final class Trial extends Command
{
    protected $signature = 'trial {what=outlook : outlook or adaptive}
        {--people= : How many simulated people; 6,000 or 2,000 where nothing is said} {--seed=}';

    protected $description = 'Try whether the pass outlook is calibrated, or what an adaptive test is worth';

    /** An adaptive test must do with so much fewer questions than one drawn at random. */
    private const SAVES = 0.3;

    public function handle(): int
    {
        return match ($this->argument('what')) {
            'outlook' => $this->outlook(),
            'adaptive' => $this->adaptive(),
            default => $this->unknown(),
        };
    }

    private function unknown(): int
    {
        $this->error('There are two trials: outlook and adaptive.');

        return self::INVALID;
    }

    private function people(int $usual): int
    {
        return max(1, (int) ($this->option('people') ?? $usual));
    }

    private function adaptive(): int
    {
        $trial = AdaptiveTrial::run($this->people(2000), (string) ($this->option('seed') ?? 'adaptive trial'));
        $this->table(
            ['True share', 'People', 'Bias', 'Error', 'Mean length', 'Decided', 'of these rightly'],
            array_map(
                fn (array $band): array => [
                    sprintf('%.1f–%.1f', $band['from'], $band['from'] + 0.2),
                    $band['n'],
                    sprintf('%+.3f', $band['bias']),
                    sprintf('%.3f', $band['error']),
                    sprintf('%.1f', $band['length']),
                    sprintf('%.0f %%', 100 * $band['decided']),
                    sprintf('%.1f %%', 100 * $band['right']),
                ],
                $trial->bands,
            ),
        );
        $length = AdaptiveTrial::LENGTH;
        $this->line(sprintf(
            'Mean length %.1f; no question in more than %.0f %% of the tests.',
            $trial->meanLength,
            100 * $trial->exposed,
        ));
        $this->line(sprintf('Error of %d questions: adaptive %.4f.', $length, $trial->error));
        foreach (['by its share' => $trial->drawn, 'by the same model' => $trial->modelled] as $how => $errors) {
            $needs = $trial->lengthForTheSame($errors);
            $this->line(sprintf(
                'Drawn at random and read %s: %.4f; for the same error %s questions, so adaptive needs %s fewer.',
                $how,
                $errors[$length],
                $needs === null ? 'more than '.AdaptiveTrial::LONGEST : sprintf('%.1f', $needs),
                sprintf('%.0f %%', 100 * (1 - $length / ($needs ?? AdaptiveTrial::LONGEST))),
            ));
        }
        $this->line(sprintf(
            'On the right side of the cut after %d questions: adaptive %.1f %%, drawn at random %.1f %%.',
            $length,
            100 * $trial->rightly['adaptive'],
            100 * $trial->rightly['drawn'],
        ));
        $needs = $trial->lengthForTheSame($trial->drawn);

        return $needs === null || 1 - $length / $needs >= self::SAVES ? self::SUCCESS : self::FAILURE;
    }

    private function outlook(): int
    {
        $trial = OutlookTrial::run($this->people(6000), (string) ($this->option('seed') ?? 'outlook trial'));
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
