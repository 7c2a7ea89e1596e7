<?php

declare(strict_types=1);

namespace App\Demo;

use App\Account\Role;
use App\Account\User;
use App\Assembly\Paper;
use App\Assembly\PaperTests;
use App\Assembly\Test;
use App\Assembly\TestBuilder;
use App\Assembly\TestItem;
use App\Assembly\TestItems;
use App\Clock\Moment;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\Syllabus;
use App\Result\Settlement;
use App\Revisit\Standings;
use App\Sitting\Sitting;
use App\Sitting\SittingEvents;
use App\Sitting\TestTerms;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Assembly\Spread;
use Uplandia\Core\Chance;
use Uplandia\Core\Cohort\SimulatedItem;
use Uplandia\Core\Cohort\SimulatedPerson;
use Uplandia\Core\Cohort\Simulator;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Written;
use Uplandia\Core\Revisit\Encounter;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Fold;
use Uplandia\Core\Sitting\Sureness;
use Uplandia\Core\Sitting\Terms;

/**
 * Made-up candidates who have sat the fixed papers and tests of their own, for comparison and item statistics. They
 * are too many to answer one by one, so rows are written in bulk; but what happened is made as events, and every
 * outcome comes of the same fold and the same marking as anybody's.
 *
 * @phpstan-type TestToSit array{
 *     test: Test, terms: Terms, items: array<int, TestItem>, simulated: list<SimulatedItem>
 * }
 */
final class DemoCohort
{
    private const SEED = 'the cohort of Corvane';

    private const KEY = 'cohort-%03d';

    /** Chance that a person has sat a given paper. */
    private const SAT = 0.6;

    /** Questions of the test that everybody builds once; of a small bank, a quarter of it. */
    private const BUILT = 36;

    /** Chance that a person rather leaves a question blank than guesses. */
    private const LEAVES_BLANK = 0.1;

    /** Chance that a person marks a written answer of theirs. */
    private const MARKS_OWN = 0.8;

    private const DAYS = 330;

    private const EMPTY = ['sittings' => [], 'sitting_events' => [], 'outcomes' => [], 'standings' => []];

    /** @var array<string, list<array<string, mixed>>> rows that wait to be written, by table */
    private array $rows = self::EMPTY;

    /** @var array<int, SimulatedItem> by question: the same one in every test */
    private array $simulated = [];

    public function __construct(
        private readonly Settlement $settlement,
        private readonly PaperTests $papers,
        private readonly TestItems $items,
        private readonly TestBuilder $builder,
        private readonly ClockInterface $clock,
    ) {
    }

    /** @return int sittings added; 0 when the cohort is there already */
    public function load(Exam $exam, int $people): int
    {
        $here = Sitting::query()
            ->where('exam_id', $exam->id)
            ->whereIn('user_id', User::query()->where('made_up_as', 'like', 'cohort-%')->select('id'));
        if ($people < 1 || $here->exists()) {
            return 0;
        }
        $simulator = new Simulator(self::SEED." {$exam->slug}");
        $this->simulated = [];
        $papers = Paper::query()
            ->with('exam')
            ->where('exam_id', $exam->id)
            ->orderBy('code')
            ->get()
            ->map(fn (Paper $paper): array => $this->toSit($simulator, $exam, $this->papers->of($paper)))
            ->all();
        $topics = count(Syllabus::of($exam)->tops());
        $questions = DB::table('questions')->where('exam_id', $exam->id)->whereNull('retired_at')->count();
        $built = new Recipe(
            filters: new Filters(),
            count: max(1, min(self::BUILT, intdiv($questions, 4))),
            mode: Mode::Timed,
            spread: Spread::Available,
        );

        return DB::transaction(function () use ($exam, $people, $simulator, $papers, $topics, $built): int {
            $sittings = 0;
            foreach ($this->people($people) as $user) {
                $person = $simulator->person($topics);
                $chosen = array_filter($papers, fn (): bool => $simulator->chance->happens(self::SAT));
                $met = [];
                $days = $this->days($simulator, count($chosen) + 1);
                foreach ([null, ...array_values($chosen)] as $i => $paper) {
                    $this->sit(
                        exam: $exam,
                        user: $user->id,
                        test: $paper ?? $this->built(
                            simulator: $simulator,
                            candidacy: new Candidacy($user, $exam),
                            recipe: $built,
                            at: $days[$i],
                        ),
                        person: $person,
                        simulator: $simulator,
                        start: $days[$i],
                        met: $met,
                    );
                    $sittings++;
                }
                $this->stand($exam, $user->id, $met);
                if (count($this->rows['sitting_events']) > 4000) {
                    $this->write();
                }
            }
            $this->write();

            return $sittings;
        });
    }

    /**
     * When somebody sat their tests: each on a day of its own, in order.
     *
     * @return list<int> Unix milliseconds
     */
    private function days(Simulator $simulator, int $n): array
    {
        $days = [];
        while (count($days) < $n) {
            $days[$simulator->chance->between(1, self::DAYS)] = true;
        }
        krsort($days);

        return array_map(
            fn (int $ago): int => Moment::of(
                Carbon::instance($this->clock->now())
                    ->subDays($ago)
                    ->setTime($simulator->chance->between(7, 20), $simulator->chance->between(0, 59)),
            ),
            array_keys($days),
        );
    }

    /** @return TestToSit one of their own, built as anybody's */
    private function built(Simulator $simulator, Candidacy $candidacy, Recipe $recipe, int $at): array
    {
        $before = Carbon::getTestNow();
        try {
            Carbon::setTestNow(Carbon::createFromTimestampMs($at));
            $test = $this->builder->build(
                candidacy: $candidacy,
                recipe: $recipe,
                seed: self::SEED." {$candidacy->exam->slug} {$candidacy->user->made_up_as}",
            );
        } finally {
            Carbon::setTestNow($before);
        }

        return $this->toSit($simulator, $candidacy->exam, $test);
    }

    /** @return list<User> */
    private function people(int $n): array
    {
        $all = fn (): array => array_values(
            User::query()
                ->where('made_up_as', 'like', 'cohort-%')
                ->orderBy('id')
                ->get()
                ->all(),
        );
        if ($all() !== []) {
            return $all();
        }
        // Nobody knows it, so nobody signs in as one of them.
        $password = Hash::make(Str::random(40));
        $now = $this->clock->now();
        $rows = [];
        for ($i = 1; $i <= $n; $i++) {
            $key = sprintf(self::KEY, $i);
            $rows[] = [
                'name' => "Candidate {$i}",
                'email' => "{$key}@corvane.example",
                'password' => $password,
                'role' => Role::Candidate->value,
                'extra_time' => '1',
                'made_up_as' => $key,
                'created_at' => $now,
                'updated_at' => $now,
            ];
        }
        foreach (array_chunk($rows, 100) as $chunk) {
            DB::table('users')->insert($chunk);
        }

        return $all();
    }

    /** @return TestToSit */
    private function toSit(Simulator $simulator, Exam $exam, Test $test): array
    {
        $items = $this->items->of($test->id);
        $syllabus = Syllabus::of($exam);
        $tops = array_flip(array_column($syllabus->tops(), 'id'));
        $simulated = [];
        foreach ($items as $position => $item) {
            $this->simulated[$item->questionId] ??= $simulator->itemOf(
                id: $item->questionId,
                topic: $tops[$syllabus->topOf($item->version->topic_id)->id],
                difficulty: $item->version->difficulty,
                question: $item->question,
            );
            $simulated[] = $this->simulated[$item->questionId]->as($position);
        }
        $test->setRelation('exam', $exam);

        return [
            'test' => $test,
            'terms' => TestTerms::of($test, new User()),
            'items' => $items,
            'simulated' => $simulated,
        ];
    }

    /**
     * @param  TestToSit  $test
     * @param  array<int, array{topic: int, met: list<Encounter>}>  $met  by question, added to
     */
    private function sit(
        Exam $exam,
        int $user,
        array $test,
        SimulatedPerson $person,
        Simulator $simulator,
        int $start,
        array &$met,
    ): void {
        [$events, $end] = $this->events(test: $test, person: $person, simulator: $simulator, now: $start);
        $sitting = new Sitting([
            'user_id' => $user,
            'exam_id' => $exam->id,
            'test_id' => $test['test']->id,
            'name' => $test['test']->title,
            'mode' => $test['test']->mode,
            'on_paper' => false,
            'terms' => $test['terms']->toArray(),
            'secret' => Str::random(32),
            'questions' => count($test['items']),
            'started_ms' => $start,
            'contact_ms' => $end,
        ]);
        $sitting->id = strtolower((string) Str::ulid(Carbon::createFromTimestampMs($start)));
        $sitting->setRelation('test', $test['test']);
        $state = Fold::of($test['terms'], $events, $end);
        $sitting->fill(Settlement::closing($sitting, $this->settlement->marked($test['items'], $state), $state));
        $facts = array_fill(0, count($test['items']), [
            'cohort_ms' => null,
            'day' => Moment::day((int) $state->endedAt, 'UTC'),
        ]);
        $outcomes = $this->settlement->project(
            sitting: $sitting,
            state: $state,
            items: $test['items'],
            facts: $facts,
        );
        foreach ($outcomes as $i => $row) {
            $question = (int) $row['question_id'];
            $reached = $row['outcome'] !== Outcome::NotReached->value;
            $outcomes[$i]['first_look'] = $reached && ! isset($met[$question]);
            if ($reached) {
                $met[$question] ??= ['topic' => (int) $row['topic_id'], 'met' => []];
                $met[$question]['met'][] = self::encounter($row);
            }
        }
        $when = Carbon::createFromTimestampMs($end)->toDateTimeString();
        (new SittingEvents($sitting))->count($events);
        $this->rows['sittings'][] = $sitting->getAttributes() + ['created_at' => $when, 'updated_at' => $when];
        array_push($this->rows['sitting_events'], ...array_map((new SittingEvents($sitting))->row(...), $events));
        array_push($this->rows['outcomes'], ...$outcomes);
    }

    /**
     * @param  TestToSit  $test
     * @return array{list<Event>, int} and when it was handed in
     */
    private function events(array $test, SimulatedPerson $person, Simulator $simulator, int $now): array
    {
        $written = [];
        $events = [new Event(id: 'c0', seq: 1, kind: EventKind::Started, at: $now)];
        $add = function (EventKind $kind, ?int $position, array|string|null $value = null) use (
            &$events,
            &$now,
        ): void {
            $n = count($events);
            $events[] = new Event(
                id: "c{$n}",
                seq: $n + 1,
                kind: $kind,
                at: $now,
                madeAt: $now,
                position: $position,
                value: $value,
            );
        };
        if ($test['terms']->reading > 0) {
            // They have read before, and begin to answer at once.
            $add(EventKind::ReadingEnded, null);
        }
        foreach ($simulator->sit($person, $test['simulated']) as $answer) {
            $item = $test['items'][$answer->item];
            $add(EventKind::Shown, $answer->item);
            $now += $answer->ms;
            if ($answer->struck !== []) {
                $add(EventKind::Struck, $answer->item, $answer->struck);
            }
            if ($answer->sureness === Sureness::Guess && $simulator->chance->happens(self::LEAVES_BLANK)) {
                continue;
            }
            $slips = array_column((array) ($item->version->withheld['slips'] ?? []), 'value');
            $add(EventKind::Answered, $answer->item, $answer->response($item->question, $simulator->chance, $slips));
            $add(EventKind::Sureness, $answer->item, $answer->sureness->value);
            if ($item->question instanceof Written && $simulator->chance->happens(self::MARKS_OWN)) {
                $written[$answer->item] = $item->question->rubricMarks($answer->right, $simulator->chance);
            }
        }
        $add(EventKind::HandedIn, null);
        foreach ($written as $position => $marks) {
            $add(EventKind::RubricMarked, $position, $marks);
        }

        return [$events, $now];
    }

    /** @param  array<string, mixed>  $row  of outcomes */
    private static function encounter(array $row): Encounter
    {
        return new Encounter(
            at: (int) $row['settled_ms'],
            day: (int) $row['day'],
            outcome: Outcome::from((string) $row['outcome']),
            sureness: $row['sureness'] === null ? null : Sureness::from((string) $row['sureness']),
            flagged: (bool) $row['flagged'],
            ms: (int) $row['active_ms'],
        );
    }

    /** @param  array<int, array{topic: int, met: list<Encounter>}>  $met  by question */
    private function stand(Exam $exam, int $user, array $met): void
    {
        foreach ($met as $question => ['topic' => $topic, 'met' => $encounters]) {
            usort($encounters, fn (Encounter $one, Encounter $other): int => $one->at <=> $other->at);
            $row = Standings::row(user: $user, exam: $exam->id, question: $question, topic: $topic, met: $encounters);
            if ($row !== null) {
                $this->rows['standings'][] = $row;
            }
        }
    }

    private function write(): void
    {
        foreach ($this->rows as $table => $rows) {
            if ($rows === []) {
                continue;
            }
            // One prepared statement for all rows: several times as fast as building a long one for each chunk.
            $columns = array_keys($rows[0]);
            $insert = DB::connection()
                ->getPdo()
                ->prepare(
                    sprintf(
                        'insert into %s (%s) values (%s)',
                        $table,
                        implode(', ', array_map(fn (string $column): string => "\"{$column}\"", $columns)),
                        implode(', ', array_fill(0, count($columns), '?')),
                    ),
                );
            foreach ($rows as $row) {
                $insert->execute(
                    array_map(fn (mixed $value): mixed => is_bool($value) ? (int) $value : $value, array_values($row)),
                );
            }
        }
        $this->rows = self::EMPTY;
    }
}
