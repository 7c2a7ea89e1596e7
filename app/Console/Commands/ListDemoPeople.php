<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Account\User;
use Illuminate\Console\Command;

final class ListDemoPeople extends Command
{
    protected $signature = 'demo:people';

    protected $description = 'List the made-up people of the demo';

    public function handle(): int
    {
        $people = User::query()
            ->whereNotNull('made_up_as')
            ->where('made_up_as', 'not like', 'cohort-%')
            ->orderBy('id')
            ->get();
        $this->table(
            ['Name', 'E-mail', ''],
            $people->map(fn (User $person): array => [$person->name, $person->email, (string) $person->about])->all(),
        );

        return self::SUCCESS;
    }
}
