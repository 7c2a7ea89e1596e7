<?php

declare(strict_types=1);

namespace App\Bench;

use App\Account\User;
use App\Assembly\Test;
use App\Question\Exam;
use App\Question\Tallies;
use App\Revisit\Cards;
use App\Sitting\Closing;
use App\Sitting\Opening;
use App\Sitting\Recorder;
use App\Sitting\Sitting;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Sitting\Awake;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;

/**
 * A bank as large as any will be, with people who have used it for years. It is written by SQL in one go, but for one
 * sitting of 500 questions, which is sat and handed in like any other.
 */
final readonly class ScaleBank
{
    public const EXAM = 'scale';

    public const QUESTIONS = 100_000;

    private const TOPICS = 20;

    private const SUBTOPICS = 15;

    /** Every tenth question belongs to a case of three. */
    private const UNIT_SHARE = 10;

    private const UNIT_SIZE = 3;

    private const OTHERS = 2000;

    private const OUTCOMES_EACH = 550;

    private const NOW_MS = 1_790_000_000_000;

    private const DAY_MS = 86_400_000;

    /** Steps through all questions, since it has no divisor in common with their number. */
    private const STRIDE = 18_181;

    public function __construct(
        private Opening $opening,
        private Recorder $recorder,
        private Closing $closing,
        private Tallies $tallies,
    ) {
    }

    /** Fills an empty database, whose migrations have run. */
    public function make(int $questions = self::QUESTIONS, int $others = self::OTHERS, int $heavy = 50_000): void
    {
        DB::statement('pragma synchronous = off');
        DB::statement('pragma foreign_keys = off');
        $indexes = $this->dropIndexes(['outcomes', 'standings', 'questions', 'question_versions', 'question_tags']);
        $this->exam();
        $this->questions($questions);
        $this->tallies->renew(1);
        $this->people($others);
        $this->met(questions: $questions, first: 1, people: 1, each: $heavy);
        $this->met(questions: $questions, first: 2, people: 1, each: intdiv($heavy, 10));
        $this->met(questions: $questions, first: 4, people: $others, each: min(self::OUTCOMES_EACH, $questions));
        $this->standings();
        $this->cards();
        DB::statement("insert into enrolments (user_id, exam_id, exam_date, hours_week, weekdays_off, dates_off,
            time_zone) values (1, 1, date('now', '+90 days'), 8, '[7]', '[]', 'UTC')");
        foreach ($indexes as $index) {
            DB::statement($index);
        }
        DB::statement('analyze');
        $this->longSitting(min(500, $questions));
        DB::statement('analyze');
    }

    /** Of the three that are measured, by how much they have answered. */
    public static function person(string $which): User
    {
        return User::query()->where('email', "{$which}@scale.example")->firstOrFail();
    }

    private function exam(): void
    {
        Exam::query()->create([
            'slug' => self::EXAM,
            'name' => 'The largest exam',
            'summary' => 'For measuring.',
            'rules' => [
                'cut' => '0.65',
                'minutesPerQuestion' => '1.5',
                'minutes' => 150,
                'readingMinutes' => 10,
                'scale' => ['low' => 0, 'high' => 240, 'cut' => 160, 'step' => 5],
                'sections' => [
                    ['code' => 'all', 'name' => 'All', 'questions' => 100, 'marks' => 1, 'kinds' => ['single']],
                ],
            ],
            'position' => 1,
        ]);
        $rows = [];
        for ($top = 1; $top <= self::TOPICS; $top++) {
            $rows[] = [
                'id' => $top, 'parent_id' => null, 'code' => "t{$top}", 'name' => "Topic {$top}",
                'weight' => '5', 'position' => $top * 100,
            ];
            for ($sub = 1; $sub <= self::SUBTOPICS; $sub++) {
                $rows[] = [
                    'id' => self::TOPICS + ($top - 1) * self::SUBTOPICS + $sub, 'parent_id' => $top,
                    'code' => "t{$top}.{$sub}", 'name' => "Part {$sub} of topic {$top}", 'weight' => null,
                    'position' => $top * 100 + $sub,
                ];
            }
        }
        foreach ($rows as $row) {
            DB::table('topics')->insert(['exam_id' => 1] + $row);
        }
    }

    private function questions(int $questions): void
    {
        $units = intdiv(intdiv($questions, self::UNIT_SHARE), self::UNIT_SIZE);
        $inUnits = $units * self::UNIT_SIZE;
        $upTo = fn (int $n): string => "with recursive
            n(i) as (select 1 union all select i + 1 from n where i < {$n})";
        DB::statement($upTo($units).' insert into units (id, exam_id, code, kind, version_id, questions)
            select i, 1, \'case-\' || i, \'case\', i, '.self::UNIT_SIZE.' from n');
        DB::statement($upTo($units).' insert into unit_versions (id, unit_id, number, shown, created_at)
            select i, i, 1, \'{"title":"Case \' || i || \'","text":"A case to think about.","exhibits":[]}\',
            \'2026-01-01 00:00:00\' from n');
        $subtopics = self::TOPICS * self::SUBTOPICS;
        $topic = self::TOPICS."+ 1 + ((case when i <= {$inUnits} then (i - 1) / ".self::UNIT_SIZE.
            " else i end) * 7) % {$subtopics}";
        $unit = "case when i <= {$inUnits} then 1 + (i - 1) / ".self::UNIT_SIZE.' end';
        $kind = "case when i % 9 = 0 then 'several' else 'single' end";
        $difficulty = "case (i * 13) % 10 when 0 then 'hard' when 1 then 'hard' when 2 then 'easy' ".
            "when 3 then 'easy' when 4 then 'easy' else 'moderate' end";
        DB::statement($upTo($questions)." insert into questions (id, exam_id, topic_id, unit_id, unit_place,
            code, kind,
            difficulty, b, luck, version_id, retired_at, created_at, updated_at)
            select i, 1, {$topic}, {$unit}, (i - 1) % ".self::UNIT_SIZE.", 'q-' || i, {$kind}, {$difficulty},
            -1.5 + (i * 29 % 300) / 100.0, case when i % 9 = 0 then 0 else 0.25 end, i,
            case when i % 997 = 0 and i > {$inUnits} then '2026-06-01 00:00:00' end, '2026-01-01', '2026-01-01'
            from n");
        // Such words as make every search find something, some of them everywhere and some in few.
        $stem = "'A party of ' || (2 + q.id % 9) || ' stands at ' || (400 + q.id % 1200) || ' m near w' ||
            (q.id % 5000) || '"
            .' in \' || case q.id % 4 when 0 then \'fog\' when 1 then \'snow\' when 2 then \'wind\'
            else \'sun\' end || '
            ."'. Which of these comes first, and why do the others wait until later in the day?'";
        $option = fn (string $letter): string => "json_object('id', 'p' || q.id || '{$letter}', 'text', "
            ."'What {$letter} says of it, number ' || (q.id * 3 % 1000))";
        $options = 'json_array('.implode(', ', array_map($option, ['a', 'b', 'c', 'd'])).')';
        $key = "'p' || q.id || substr('abcd', 1 + q.id % 4, 1)";
        DB::statement("insert into question_versions (id, question_id, unit_version_id, number, topic_id,
            kind, difficulty,
            tags, marks, shown, withheld, created_at)
            select q.id, q.id, q.unit_id, 1, q.topic_id, q.kind, q.difficulty,
            json_object('year', cast(2015 + q.id % 10 as text), 'skill', case q.id % 3 when 0 then 'recall'
            when 1 then 'apply' else 'judge' end), '1', json_object('stem', {$stem}, 'options', {$options}),
            case q.kind when 'single' then json_object('key', {$key}, 'why', json_object(), 'rationale',
            'Because it binds first.', 'references', json_array()) else json_object('rule', 'all_or_nothing', 'keys',
            json_array({$key}), 'why', json_object(), 'rationale', 'Because it binds first.', 'references',
            json_array()) end, '2026-01-01 00:00:00' from questions q");
        DB::statement('insert into question_tags (question_id, family, value)
            select v.question_id, t.key, t.value from question_versions v, json_each(v.tags) t');
        DB::statement("with recursive s(i) as (select 0 union all select i + 1 from s where i < 79)
            insert into handbook_sections (exam_id, code, chapter, title, body, position)
            select 1, 'sec-' || i, 'Chapter ' || (i / 10), 'Section ' || i, 'What it says.', i from s");
        DB::statement("insert into question_tags (question_id, family, value)
            select id, '_reads', 'sec-' || (id % 80) from questions");
        DB::statement("insert into question_texts (rowid, stem, parts, exhibits, topic, tags)
            select v.id, json_extract(v.shown, '$.stem'), 'What says of it', '', t.name, '' from question_versions v
            join topics t on t.id = v.topic_id
            where v.question_id in (select id from questions where retired_at is null)");
    }

    private function people(int $others): void
    {
        foreach (['heavy', 'middle', 'new'] as $i => $which) {
            DB::table('users')->insert(self::user($i + 1, "{$which}@scale.example"));
        }
        foreach (array_chunk($others === 0 ? [] : range(4, 3 + $others), 500) as $chunk) {
            DB::table('users')->insert(
                array_map(fn (int $id): array => self::user($id, "p{$id}@scale.example"), $chunk),
            );
        }
        DB::table('tests')->insert([
            'id' => 'scale-past', 'exam_id' => 1, 'title' => 'What was sat before', 'mode' => Mode::Timed->value,
            'seed' => 'x', 'questions' => 50, 'minutes' => 75, 'created_at' => now(), 'updated_at' => now(),
        ]);
    }

    /** @return array<string, mixed> */
    private static function user(int $id, string $email): array
    {
        return [
            'id' => $id, 'name' => "Person {$id}", 'email' => $email, 'password' => '!', 'role' => 'candidate',
            'extra_time' => '1', 'created_at' => now(), 'updated_at' => now(),
        ];
    }

    /** What some people have answered, 50 questions a sitting, one sitting a day. */
    private function met(int $questions, int $first, int $people, int $each): void
    {
        if ($people === 0 || $each === 0) {
            return;
        }
        [$now, $day, $stride] = [self::NOW_MS, self::DAY_MS, self::STRIDE];
        $last = $first + $people - 1;
        $sittings = intdiv($each + 49, 50);
        $ended = "{$now} - ({$sittings} - k) * {$day}";
        DB::statement("with recursive u(i) as (select {$first} union all select i + 1 from u where i < {$last}),
            s(k) as (select 0 union all select k + 1 from s where k + 1 < {$sittings})
            insert into sittings (id, user_id, exam_id, test_id, name, mode, status,
            terms, secret, started_ms, contact_ms,
            ended_ms,
            active_ms, questions, answered, marks, possible, share, counts, created_at, updated_at)
            select 'scale-' || u.i || '-' || s.k, u.i, 1, 'scale-past', 'What was sat before',
            'timed', 'handed_in', '{}', 'x', {$ended} - 3000000,
            {$ended}, {$ended}, 2400000, 50, 50, '30', '50', 0.6, 1, '2026-01-01', '2026-01-01' from u, s");
        $outcome = "case (o.u * 31 + o.k * 17) % 10 when 0 then 'missed' when 1 then 'missed' when 2 then 'missed' ".
            "when 3 then 'left_blank' else 'right' end";
        $share = 'case (o.u * 31 + o.k * 17) % 10 when 0 then 0.0 when 1 then 0.0 when 2 then 0.0 when 3 then null '.
            'else 1.0 end';
        DB::statement("with recursive u(i) as (select {$first} union all select i + 1 from u where i < {$last}),
            n(k) as (select 0 union all select k + 1 from n where k + 1 < {$each}),
            o as (select u.i as u, n.k as k, 1 + (u.i * 7919 + n.k * {$stride}) % {$questions} as q from u, n)
            insert into outcomes (sitting_id, position, user_id, exam_id, question_id, version_id, topic_id,
            outcome, shown, response, credit, share, first_credit, marks, possible, changes, struck, sureness,
            flagged, active_ms, answered_ms, cohort_ms,
            first_look, counts, settled_ms, day)
            select 'scale-' || o.u || '-' || (o.k / 50), o.k % 50, o.u, 1, o.q, o.q, q.topic_id, {$outcome}, 1,
            null, cast({$share} as int), {$share}, null, '1', '1', 0, '[]',
            case o.k % 3 when 0 then 'sure' when 1 then 'leaning' else 'guess' end, o.k % 40 = 0,
            20000 + (o.k * 97) % 60000,
            {$now} - ({$sittings} - o.k / 50) * {$day} - 3000000 + (o.k % 50) * 60000, null, 1, 1,
            {$now} - ({$sittings} - o.k / 50) * {$day},
            ({$now} - ({$sittings} - o.k / 50) * {$day}) / {$day}
            from o join questions q on q.id = o.q");
    }

    private function standings(): void
    {
        DB::statement('insert into standings (user_id, question_id, exam_id, topic_id, outcome, flagged, starred,
            noted,
            false_footing, gap_open, misses, due_day, seen, seen_ms, gap, gap_day, stability, remembered_day)
            select user_id, question_id, exam_id, topic_id, outcome, flagged, 0, 0, 0,
            outcome = \'missed\' and question_id % 5 = 0,
            outcome = \'missed\', day + 5 + question_id % 60, 1, settled_ms,
            case when outcome = \'missed\' and question_id % 5 = 0 then \'open\' end,
            case when outcome = \'missed\' and question_id % 5 = 0 then day end,
            5 + question_id % 60, day from outcomes');
    }

    /** As many as one may have, for the one who has answered most; a tenth of them is due. */
    private function cards(): void
    {
        DB::statement("insert into cards (id, user_id, exam_id, question_id, front, back, suspended, looks, stability,
            remembered_day, due_day, made_day, made_ms)
            select 'card'||id, 1, 1, id, 'Card '||id||': which way round the col in fog?',
            'East of it, below the crags.', 0, 3, 9.5, 20600,
            case when id % 10 = 0 then 20000 else 30000 end, 20500, 1771000000000
            from questions where id <= ?", [Cards::MOST]);
    }

    /** One sitting of as many questions as a test may have, sat by events and handed in. */
    private function longSitting(int $questions): void
    {
        $user = self::person('heavy');
        $items = [];
        for ($i = 0; $i < $questions; $i++) {
            $question = 1 + ($i * 37) % DB::table('questions')->count();
            $items[] = [
                'position' => $i, 'question_id' => $question, 'version_id' => $question, 'marks' => '1',
                'penalty' => '0', 'section' => null,
            ];
        }
        $test = Test::createWith(
            ['user_id' => $user->id, 'exam_id' => 1, 'title' => 'The long one', 'mode' => 'timed', 'seed' => 'x'],
            $items,
            600,
        );
        $sitting = Sitting::createFor($test, $user);
        $this->opening->open($sitting, Crowd::TAB, take: true);
        $seq = 2;
        for ($from = 0; $from < $questions; $from += 100) {
            $events = [];
            for ($i = $from; $i < min($from + 100, $questions); $i++) {
                $id = $items[$i]['question_id'];
                $at = (int) (microtime(true) * 1000);
                $choice = "p{$id}".'abcd'[$i % 4];
                $answer = $id % 9 === 0 ? ['choices' => [$choice]] : ['choice' => $choice];
                $what = [
                    [EventKind::Shown, null], [EventKind::Answered, $answer], [EventKind::Sureness, 'sure'],
                ];
                foreach ($what as [$kind, $value]) {
                    $events[] = new Event(
                        id: "long-{$seq}", seq: $seq++, kind: $kind, at: $at, madeAt: $at, position: $i, value: $value,
                    );
                }
            }
            $this->recorder->record(
                sitting: $sitting->refresh(), tab: Crowd::TAB, events: $events, awake: Awake::unknown(),
            );
        }
        $this->closing->handIn(sitting: $sitting->refresh(), tab: Crowd::TAB, events: [], awake: Awake::unknown());
    }

    /**
     * Rows go in many times faster when indexes are made afterwards.
     *
     * @param  list<string>  $tables
     * @return list<string> the statements that make them again
     */
    private function dropIndexes(array $tables): array
    {
        $rows = DB::table('sqlite_master')->where('type', 'index')->whereIn('tbl_name', $tables)->whereNotNull('sql')
            ->get(['name', 'sql']);
        foreach ($rows as $row) {
            Schema::getConnection()->statement("drop index \"{$row->name}\"");
        }

        return array_map(fn (mixed $row): string => (string) $row->sql, array_values($rows->all()));
    }
}
