<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Account\Role;
use App\Account\User;
use App\Assembly\Paper;
use App\Assembly\PaperTests;
use App\Assembly\Test;
use App\Question\Exam;
use App\Scoring\Settlement;
use App\Scoring\TestItem;
use App\Sitting\Sitting;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Uplandia\Core\Cohort\Responder;
use Uplandia\Core\Cohort\SimulatedItem;
use Uplandia\Core\Cohort\SimulatedPerson;
use Uplandia\Core\Cohort\Simulator;
use Uplandia\Core\Question\Written;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Fold;
use Uplandia\Core\Sitting\Sureness;

/**
 * Made-up candidates who have sat the fixed papers, for comparison and item statistics. They are too many to answer one
 * by one, so rows are written in bulk; but what happened is made as events, and every outcome comes of the same fold and
 * the same marking as anybody's.
 */
final class DemoCohort
{
    private const SEED = 'the cohort of Corvane';

    /** Chance that a person has sat a given paper. */
    private const SAT = 0.8;

    /** Chance that a person rather leaves a question blank than guesses. */
    private const LEAVES_BLANK = 0.1;

    /** Chance that a person marks a written answer of theirs. */
    private const MARKS_OWN = 0.8;

    private const DAYS = 330;

    private const EMPTY = ['sittings' => [], 'sitting_events' => [], 'outcomes' => [], 'standings' => []];

    /** @var array<string, list<array<string, mixed>>> rows that wait to be written, by table */
    private array $rows = self::EMPTY;

    public function __construct(private readonly Settlement $settlement, private readonly PaperTests $papers)
    {
    }

    /** @return int sittings added; 0 when the cohort is there already */
    public function load(Exam $exam, int $people): int
    {
        if ($people < 1 || User::query()->where('made_up_as', 'like', 'cohort-%')->exists()) {
            return 0;
        }
        $simulator = new Simulator(self::SEED);
        $tests = Paper::query()->with('exam')->where('exam_id', $exam->id)->orderBy('code')->get()->map(fn (Paper $paper): Test => $this->papers->of($paper))->all();
        $papers = array_map(fn (Test $test): array => $this->paper($simulator, $exam, $test), $tests);
        $now = Carbon::now();

        return DB::transaction(function () use ($exam, $people, $simulator, $papers, $now): int {
            $sittings = 0;
            foreach ($this->people($people) as $user) {
                $person = $simulator->person($exam->topics()->whereNull('parent_id')->count());
                foreach ($papers as $paper) {
                    if ($simulator->chance->happens(self::SAT)) {
                        $at = $now->copy()->subDays($simulator->chance->between(1, self::DAYS))->setTime($simulator->chance->between(7, 20), $simulator->chance->between(0, 59));
                        $this->sit($exam, $user, $paper['test'], $paper['items'], $paper['simulated'], $paper['slips'], $person, $simulator, (int) $at->getTimestampMs());
                        $sittings++;
                    }
                }
                if (count($this->rows['sitting_events']) > 4000) {
                    $this->write();
                }
            }
            $this->write();

            return $sittings;
        });
    }

    /** @return list<int> user ids */
    private function people(int $n): array
    {
        // Nobody knows it, so nobody signs in as one of them.
        $password = Hash::make(Str::random(40));
        $rows = [];
        for ($i = 1; $i <= $n; $i++) {
            $key = sprintf('cohort-%03d', $i);
            $rows[] = ['name' => "Candidate {$i}", 'email' => "{$key}@corvane.example", 'password' => $password, 'role' => Role::Candidate->value, 'extra_time' => '1', 'made_up_as' => $key, 'created_at' => now(), 'updated_at' => now()];
        }
        foreach (array_chunk($rows, 200) as $chunk) {
            DB::table('users')->insert($chunk);
        }

        return User::query()->where('made_up_as', 'like', 'cohort-%')->orderBy('id')->pluck('id')->map(fn (mixed $id): int => is_numeric($id) ? (int) $id : 0)->values()->all();
    }

    /** @return array{test: Test, items: array<int, TestItem>, simulated: list<SimulatedItem>, slips: array<int, list<string>>} */
    private function paper(Simulator $simulator, Exam $exam, Test $test): array
    {
        $sitting = new Sitting(['test_id' => $test->id]);
        $items = $this->settlement->items($sitting);
        $tops = $exam->topics()->whereNull('parent_id')->pluck('id')->flip();
        $parents = $exam->topics()->whereNotNull('parent_id')->pluck('parent_id', 'id');
        $facts = DB::table('questions')->join('question_versions', 'question_versions.id', '=', 'questions.version_id')->whereIn('questions.id', array_map(fn (TestItem $item): int => $item->questionId, $items))
            ->get(['questions.id', 'difficulty', 'answer'])->keyBy('id');
        $simulated = $slips = [];
        foreach ($items as $position => $item) {
            $fact = $facts[$item->questionId];
            $simulated[] = $simulator->itemOf($position, (int) $tops[$parents[$item->topicId]], (string) $fact->difficulty, $item->question);
            $slips[$position] = array_column((array) (json_decode((string) $fact->answer, true)['slips'] ?? []), 'value');
        }

        return ['test' => $test, 'items' => $items, 'simulated' => $simulated, 'slips' => $slips];
    }

    /**
     * @param  array<int, TestItem>  $items
     * @param  list<SimulatedItem>  $simulated
     * @param  array<int, list<string>>  $slips
     */
    private function sit(Exam $exam, int $user, Test $test, array $items, array $simulated, array $slips, SimulatedPerson $person, Simulator $simulator, int $start): void
    {
        $sitting = new Sitting(['user_id' => $user, 'exam_id' => $exam->id, 'test_id' => $test->id, 'extra_time' => '1', 'questions' => count($items), 'status' => 'not_started', 'started_ms' => $start]);
        $sitting->id = strtolower((string) Str::ulid(Carbon::createFromTimestampMs($start)));
        $sitting->setRelation('test', $test);
        $responder = new Responder($simulator->chance);
        $written = [];
        $events = [new Event('c0', 1, EventKind::Started, $start)];
        $now = $start;
        $add = function (EventKind $kind, ?int $position, mixed $value = null) use (&$events, &$now): void {
            $n = count($events);
            $events[] = new Event("c{$n}", $n + 1, $kind, $now, $now, $position, is_array($value) || is_string($value) ? $value : null);
        };
        foreach ($simulator->sit($person, $simulated) as $answer) {
            $item = $items[$answer->item];
            $add(EventKind::Shown, $answer->item);
            $now += $answer->ms;
            if ($answer->struck !== []) {
                $add(EventKind::Struck, $answer->item, $answer->struck);
            }
            if ($answer->sureness === Sureness::Guess && $simulator->chance->happens(self::LEAVES_BLANK)) {
                continue;
            }
            $response = $responder->respond($answer, $item->question, $slips[$answer->item]);
            $add(EventKind::Answered, $answer->item, $response);
            $add(EventKind::Sureness, $answer->item, $answer->sureness->value);
            if ($item->question instanceof Written && $simulator->chance->happens(self::MARKS_OWN)) {
                $written[$answer->item] = $responder->rubricMarks($item->question, $answer->right);
            }
        }
        $add(EventKind::HandedIn, null);
        foreach ($written as $position => $marks) {
            $add(EventKind::RubricMarked, $position, $marks);
        }
        $state = Fold::of($sitting->terms(), $events, $now);
        $settled = $this->settlement->project($sitting, $items, $state, $now);
        $when = Carbon::createFromTimestampMs($now)->toDateTimeString();
        $this->rows['sittings'][] = Settlement::closing($settled->marked, $state, $now) + [
            'id' => $sitting->id, 'user_id' => $user, 'exam_id' => $exam->id, 'test_id' => $test->id, 'extra_time' => '1', 'started_ms' => $start, 'contact_ms' => $now,
            'questions' => count($items), 'created_at' => $when, 'updated_at' => $when,
        ];
        foreach ($events as $event) {
            $this->rows['sitting_events'][] = [
                'sitting_id' => $sitting->id, 'uid' => $event->id, 'seq' => $event->seq, 'kind' => $event->kind->value, 'at_ms' => $event->at, 'made_ms' => $event->madeAt,
                'position' => $event->position, 'value' => $event->value === null ? null : json_encode($event->value, JSON_THROW_ON_ERROR),
            ];
        }
        array_push($this->rows['outcomes'], ...$settled->outcomes);
        array_push($this->rows['standings'], ...$settled->standings);
    }

    private function write(): void
    {
        foreach ($this->rows as $table => $rows) {
            if ($rows === []) {
                continue;
            }
            // One prepared statement for all rows: several times as fast as building a long one for each chunk.
            $columns = array_keys($rows[0]);
            $insert = DB::connection()->getPdo()->prepare(sprintf('insert into %s (%s) values (%s)', $table, implode(', ', $columns), implode(', ', array_fill(0, count($columns), '?'))));
            foreach ($rows as $row) {
                $insert->execute(array_map(fn (mixed $value): mixed => is_bool($value) ? (int) $value : $value, array_values($row)));
            }
        }
        $this->rows = self::EMPTY;
    }
}
