<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Cohort\CohortMarks;
use App\Progress\EstimatesRecount;
use App\Question\Tallies;
use App\Result\OutcomesRecount;
use App\Revisit\CardsRecount;
use App\Revisit\StandingsRecount;
use App\Sitting\SittingsRecount;
use Illuminate\Console\Command;

final class Recount extends Command
{
    private const MOST_LINES = 50;

    protected $signature = 'recount {--user= : Only this candidate, by e-mail address}';

    protected $description = 'Recompute outcomes, totals and standings from the events, and say what differs from what is stored';

    public function handle(
        SittingsRecount $sittings,
        Tallies $tallies,
        OutcomesRecount $outcomes,
        StandingsRecount $standings,
        CardsRecount $cards,
        EstimatesRecount $estimates,
        CohortMarks $marks,
    ): int {
        $user = $this->option('user');
        $address = is_string($user) ? $user : null;
        $found = 0;
        $runs = [
            'Tallies of the bank that differ' => $tallies->faults(),
            'Folds' => $sittings->run($address),
            'Sittings' => $outcomes->run($address),
            'Standings' => $standings->run($address),
            'Cards' => $cards->run($address),
            'Estimates' => $estimates->run($address),
            'Places in the cohort' => $marks->faults(),
        ];
        foreach ($runs as $what => $run) {
            $checked = 0;
            foreach ($run as $difference) {
                $checked++;
                if ($difference !== null && ++$found <= self::MOST_LINES) {
                    $this->error($difference);
                }
            }
            $this->line("{$what} recomputed: {$checked}.");
        }
        $this->line($found === 0 ? 'Nothing differs.' : "{$found} differ.");

        return $found === 0 ? self::SUCCESS : self::FAILURE;
    }
}
