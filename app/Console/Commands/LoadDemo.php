<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Account\Role;
use App\Account\User;
use App\Cohort\CohortRenewal;
use App\Demo\DemoCards;
use App\Demo\DemoCohort;
use App\Demo\DemoHistory;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Sitting\Sitting;
use App\Workshop\BankLoader;
use App\Workshop\InvalidBank;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Hash;
use Symfony\Component\Yaml\Yaml;

/** @phpstan-import-type Story from DemoHistory */
final class LoadDemo extends Command
{
    /** That of which its people have a past. */
    private const EXAM = 'upland-guide';

    public const PASSWORD = 'corvane-in-the-mist';

    protected $signature = 'demo:load {--cohort=400 : How many made-up candidates to compare with; 0 for none}';

    protected $description = 'Load the demo exams and the made-up people to sign in as; safe to run again';

    public function handle(
        BankLoader $loader,
        DemoHistory $history,
        DemoCards $cards,
        DemoCohort $cohort,
        CohortRenewal $renewal,
    ): int {
        $exams = [];
        try {
            foreach (glob(database_path('demo/*/exam.yaml')) ?: [] as $sheet) {
                $loaded = $loader->load(dirname($sheet));
                $exams[] = $loaded['slug'];
                $this->line(
                    basename(dirname($sheet)).
                        ": {$loaded['questions']} questions, {$loaded['changed']} of them new or changed.",
                );
            }
        } catch (InvalidBank $invalid) {
            $this->error($invalid->getMessage());

            return self::FAILURE;
        }
        // The demo's own; whatever else is here is somebody's.
        foreach (Exam::query()->whereIn('slug', $exams)->orderBy('position')->get() as $exam) {
            $sittings = $cohort->load($exam, (int) $this->option('cohort'));
            if ($sittings > 0) {
                $this->line("{$exam->name}: {$sittings} sittings of {$this->option('cohort')} made-up candidates.");
                $renewal->renew($exam);
            }
        }
        $this->people($history, $cards);

        return self::SUCCESS;
    }

    private function people(DemoHistory $history, DemoCards $cards): void
    {
        $exam = $this->exam();
        /**
         * @var list<array{
         *     key: string, name: string, about: string, role?: string, extra_time?: string,
         *     story?: Story
         * }> $people
         */
        $people = Yaml::parseFile(database_path('demo/people.yaml'));
        $password = Hash::make(self::PASSWORD);
        foreach ($people as $person) {
            $user = User::query()->where('made_up_as', $person['key'])->first() ?? new User();
            $user
                ->forceFill([
                    'name' => $person['name'],
                    'email' => "{$person['key']}@corvane.example",
                    'about' => $person['about'],
                    'password' => $password,
                    'role' => Role::from($person['role'] ?? 'candidate'),
                    'extra_time' => $person['extra_time'] ?? '1',
                    'made_up_as' => $person['key'],
                ])
                ->save();
            if (isset($person['story']) && ! Sitting::query()->where('user_id', $user->id)->exists()) {
                $candidacy = new Candidacy($user->refresh(), $exam);
                $this->line("{$person['name']}: {$history->tell($candidacy, $person['story'])} sittings.");
                $cards->tell(
                    candidacy: $candidacy,
                    days: $person['story']['days'],
                    text: (string) file_get_contents(database_path('demo/licence/cards.txt')),
                );
            }
        }
    }

    private function exam(): Exam
    {
        return Exam::query()->where('slug', self::EXAM)->firstOrFail();
    }
}
