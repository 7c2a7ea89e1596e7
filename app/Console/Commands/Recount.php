<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Database\Recounts;
use Illuminate\Console\Command;

final class Recount extends Command
{
    private const MOST_LINES = 50;

    protected $signature = 'recount {--user= : Only this candidate, by e-mail address}';

    protected $description = 'Recompute outcomes, totals and standings from the events, and say what differs from what is stored';

    public function handle(): int
    {
        $user = $this->option('user');
        $address = is_string($user) ? $user : null;
        $found = 0;
        /** @var Recounts $recount */
        foreach ($this->laravel->tagged(Recounts::class) as $recount) {
            $checked = 0;
            foreach ($recount->differences($address) as $difference) {
                $checked++;
                if ($difference !== null && ++$found <= self::MOST_LINES) {
                    $this->error($difference);
                }
            }
            $this->line("{$recount->what()} recomputed: {$checked}.");
        }
        $this->line($found === 0 ? 'Nothing differs.' : "{$found} differ.");

        return $found === 0 ? self::SUCCESS : self::FAILURE;
    }
}
