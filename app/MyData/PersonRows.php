<?php

declare(strict_types=1);

namespace App\MyData;

use App\Account\User;
use App\Assembly\SeriesTests;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Revisit\Card;
use App\Revisit\CardLook;
use App\Sitting\SeriesAttempt;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;
use Uplandia\Core\Assembly\Recipe;

/**
 * All that is a person's of an exam, but for their sittings: as rows that name questions by their codes and parts by
 * their tokens, and from such rows again.
 */
final readonly class PersonRows
{
    /** Of questions, too, are those of these tables. */
    private const OF_QUESTIONS = ['gaps', 'revisits', 'notes', 'highlights', 'exposures'];

    /** Table, its columns that go as they are, and its order; whose and of which question it is is told otherwise. */
    private const TABLES = [
        'gaps' => ['gap_entries', ['cause', 'moved_ms', 'moved_day', 'into'], 'question_id'],
        'revisits' => ['revisit_words', ['suspended', 'until_day', 'said_ms'], 'question_id'],
        'notes' => ['notes', ['section', 'body', 'created_at', 'updated_at'], 'id'],
        'highlights' => [
            'highlights',
            ['section', 'part', 'kind', 'from', 'to', 'quote', 'note', 'created_at', 'updated_at'],
            'id',
        ],
        'readings' => ['readings', ['section', 'step', 'finished_ms', 'read_ms'], 'section'],
        'outlooks' => ['outlooks', ['day', 'chance', 'low', 'high', 'responses'], 'day'],
        'weeks' => ['plan_weeks', ['monday', 'questions', 'ms', 'rehearsal', 'made_ms'], 'monday'],
        // Those in a sitting are told of with it.
        'exposures' => ['exposures', ['how', 'at_ms', 'day'], 'id'],
    ];

    private const BOOLEANS = ['into', 'suspended', 'rehearsal', 'in_cohort'];

    private const ENROLMENT = [
        'exam_date', 'target', 'hours_week', 'weekdays_off', 'dates_off', 'time_zone', 'in_cohort', 'cohort_ms',
    ];

    private const CARD = ['section', 'front', 'back', 'suspended', 'made_day', 'made_ms'];

    private const LOOK = ['uid', 'grade', 'at_ms', 'day'];

    public function __construct(private SeriesTests $series)
    {
    }

    /** Whether there is anything of an exam. */
    public function any(Candidacy $candidacy): bool
    {
        $tables = [
            'enrolments', 'sittings', 'standings', 'cards', 'recipes', 'series_attempts',
            ...array_column(self::TABLES, 0),
        ];
        foreach ($tables as $table) {
            $mine = $table === 'series_attempts'
                ? DB::table('series_attempts')
                    ->join('series_tests', 'series_tests.id', '=', 'series_attempts.series_test_id')
                    ->join('series', 'series.id', '=', 'series_tests.series_id')
                : DB::table($table);
            if ($mine->where($candidacy->key())->exists()) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, mixed> as the schema has an exam of a person */
    public function of(Candidacy $candidacy): array
    {
        $rows = [];
        foreach (self::TABLES as $name => [$table, $columns, $order]) {
            $rows[$name] = $this->read(
                mine: self::mine($table, $candidacy)
                    ->when($name === 'exposures', fn (Builder $all): Builder => $all->whereNull('sitting_id'))
                    ->orderBy("{$table}.{$order}"),
                table: $table,
                columns: $columns,
                ofQuestions: in_array($name, self::OF_QUESTIONS, true),
            );
        }
        $enrolment = self::mine('enrolments', $candidacy)->first(self::ENROLMENT);

        return [
            'exam' => $candidacy->exam->slug,
            'enrolment' => $enrolment === null ? null : self::plain((array) $enrolment),
            'recipes' => $this->recipes($candidacy),
            'stars' => self::mine('standings', $candidacy)
                ->join('questions', 'questions.id', '=', 'standings.question_id')
                ->where('starred', true)
                ->orderBy('code')
                ->pluck('code')
                ->all(),
            ...$rows,
            'highlights' => $this->inTokens($rows['highlights'] ?? [], $candidacy->exam),
            'cards' => $this->cards($candidacy),
            'attempts' => DB::table('series_attempts')
                ->join('series_tests', 'series_tests.id', '=', 'series_attempts.series_test_id')
                ->join('series', 'series.id', '=', 'series_tests.series_id')
                ->leftJoin('sittings', fn ($join) => $join
                    ->on('sittings.id', '=', 'series_attempts.sitting_id')
                    ->whereNull('sittings.deleted_at'))
                ->where('series_attempts.user_id', $candidacy->user->id)
                ->where('series.exam_id', $candidacy->exam->id)
                ->orderBy('series_attempts.number')
                ->get(['series.code as series', 'series_tests.code as test', 'number', 'sittings.id as sitting'])
                ->map(fn (stdClass $row): array => (array) $row)
                ->all(),
        ];
    }

    /**
     * Writes what `of` gave for another person, of whom there is nothing yet.
     *
     * @param  array<string, mixed>  $rows
     * @param  array<string, string>  $recipes  id as it was => as it is
     */
    public function write(Candidacy $candidacy, array $rows, array $recipes): void
    {
        $questions = $this->questionsOf($candidacy->exam, $rows);
        $own = [...$candidacy->key()];
        if ($rows['enrolment'] !== null) {
            DB::table('enrolments')->insert($own + self::stored($rows['enrolment']));
        }
        foreach ($rows['recipes'] as $recipe) {
            $choices = (array) $recipe['choices'];
            $choices['only'] = array_values(array_filter(array_map(
                fn (mixed $code): ?int => $questions[(string) $code]->id ?? null,
                (array) ($choices['only'] ?? []),
            )));
            DB::table('recipes')->insert(
                $own + ['id' => $recipes[$recipe['id']], 'choices' => json_encode(Recipe::of($choices)->toArray())] + $recipe,
            );
        }
        $rows['highlights'] = $this->inNames($rows['highlights'], $candidacy->exam);
        foreach (self::TABLES as $name => [$table, $columns]) {
            $insert = array_map(fn (array $row): array => $own + self::stored(
                array_intersect_key($row, array_flip($columns))
                + (array_key_exists('question', $row)
                    ? ['question_id' => $questions[(string) $row['question']]->id ?? null]
                    : []),
            ), $rows[$name] ?? []);
            foreach (array_chunk($insert, 50) as $chunk) {
                DB::table($table)->insert($chunk);
            }
        }
        $this->writeMarks(own: $own, rows: $rows, questions: $questions);
        foreach ($rows['cards'] as $card) {
            $this->writeCard($own, $card, $questions);
        }
    }

    /**
     * Which sittings were attempts at the tests of a series.
     *
     * @param  array<string, mixed>  $rows
     * @param  array<string, string>  $sittings  id as it was => as it is
     */
    public function writeAttempts(Candidacy $candidacy, array $rows, array $sittings): void
    {
        foreach ($rows['attempts'] as $attempt) {
            $test = $this->series->find($candidacy->exam, $attempt['series'], $attempt['test']);
            if ($test !== null) {
                SeriesAttempt::query()->create([
                    'series_test_id' => $test->id,
                    'user_id' => $candidacy->user->id,
                    'number' => $attempt['number'],
                    'sitting_id' => $sittings[(string) $attempt['sitting']] ?? null,
                ]);
            }
        }
    }

    /**
     * The questions that are named, by their codes.
     *
     * @param  array<string, mixed>  $rows
     * @return array<string, stdClass> with id and topic_id
     */
    public function questionsOf(Exam $exam, array $rows): array
    {
        $codes = [...$rows['stars']];
        foreach ([...self::OF_QUESTIONS, 'cards'] as $name) {
            array_push($codes, ...array_column($rows[$name] ?? [], 'question'));
        }
        foreach ($rows['recipes'] as $recipe) {
            array_push($codes, ...array_filter((array) (((array) $recipe['choices'])['only'] ?? []), is_string(...)));
        }
        $found = [];
        foreach (array_chunk(array_values(array_unique(array_filter($codes))), 500) as $chunk) {
            $found += DB::table('questions')
                ->where('exam_id', $exam->id)
                ->whereIn('code', $chunk)
                ->get(['id', 'code', 'topic_id'])
                ->keyBy('code')
                ->all();
        }

        return $found;
    }

    /**
     * @param  array{user_id: int, exam_id: int}  $own
     * @param  array<string, mixed>  $rows
     * @param  array<string, stdClass>  $questions
     */
    private function writeMarks(array $own, array $rows, array $questions): void
    {
        $noted = array_flip(array_filter(array_column($rows['notes'], 'question')));
        $starred = array_flip($rows['stars']);
        foreach ($questions as $code => $question) {
            if (isset($noted[$code]) || isset($starred[$code])) {
                DB::table('standings')->upsert(
                    $own + [
                        'question_id' => $question->id,
                        'topic_id' => $question->topic_id,
                        'starred' => isset($starred[$code]),
                        'noted' => isset($noted[$code]),
                    ],
                    ['user_id', 'question_id'],
                    ['starred', 'noted'],
                );
            }
        }
    }

    /**
     * @param  array{user_id: int, exam_id: int}  $own
     * @param  array<string, mixed>  $card
     * @param  array<string, stdClass>  $questions
     */
    private function writeCard(array $own, array $card, array $questions): void
    {
        $kept = Card::query()->create($own + self::stored(array_intersect_key($card, array_flip(self::CARD))) + [
            'question_id' => $questions[(string) $card['question']]->id ?? null,
            'due_day' => $card['made_day'],
        ]);
        foreach (array_chunk($card['looks'], 100) as $chunk) {
            $looks = array_map(fn (array $look): array => ['card_id' => $kept->id] + $look, $chunk);
            CardLook::query()->insert($looks);
        }
        $kept->update($kept->project());
    }

    /** @return list<array<string, mixed>> */
    private function recipes(Candidacy $candidacy): array
    {
        $recipes = [];
        $columns = ['id', 'name', 'version', 'choices', 'created_at', 'updated_at'];
        foreach (self::mine('recipes', $candidacy)->orderBy('created_at')->orderBy('id')->get($columns) as $row) {
            $choices = (array) json_decode((string) $row->choices, true);
            $only = (array) ($choices['only'] ?? []);
            $codes = DB::table('questions')->whereIntegerInRaw('id', $only)->pluck('code', 'id');
            $choices['only'] = array_values(array_filter(array_map(fn (mixed $id) => $codes[$id] ?? null, $only)));
            $recipes[] = ['choices' => $choices] + (array) $row;
        }

        return $recipes;
    }

    /** @return list<array<string, mixed>> */
    private function cards(Candidacy $candidacy): array
    {
        $looks = DB::table('card_looks')
            ->join('cards', 'cards.id', '=', 'card_looks.card_id')
            ->where($candidacy->key())
            ->orderBy('card_looks.id')
            ->get(['card_id', ...self::LOOK])
            ->groupBy('card_id');
        $mine = self::mine('cards', $candidacy)->orderBy('made_ms')->orderBy('cards.id');
        $mine->leftJoin('questions', 'questions.id', '=', 'cards.question_id');
        $columns = array_map(fn (string $column): string => "cards.{$column}", ['id', ...self::CARD]);

        return array_values($mine->get([...$columns, 'questions.code as question'])->map(
            fn (stdClass $card): array => array_diff_key(self::plain((array) $card), ['id' => 0]) + [
                'looks' => array_values(($looks[$card->id] ?? collect())->map(
                    fn (stdClass $look): array => array_diff_key((array) $look, ['card_id' => 0]),
                )->all()),
            ],
        )->all());
    }

    /**
     * @param  list<string>  $columns
     * @return list<array<string, mixed>>
     */
    private function read(Builder $mine, string $table, array $columns, bool $ofQuestions): array
    {
        $select = array_map(fn (string $column): string => "{$table}.{$column}", $columns);
        if ($ofQuestions) {
            $mine->leftJoin('questions', 'questions.id', '=', "{$table}.question_id");
            $select[] = 'questions.code as question';
        }

        return array_values($mine->get($select)->map(fn (stdClass $row): array => self::plain((array) $row))->all());
    }

    /**
     * @param  list<array<string, mixed>>  $highlights
     * @return list<array<string, mixed>>
     */
    private function inTokens(array $highlights, Exam $exam): array
    {
        $tokens = $this->tokens($highlights, $exam);

        return array_map(fn (array $one): array => [
            'part' => strtr((string) $one['part'], $tokens[(string) $one['question']] ?? []),
        ] + $one, $highlights);
    }

    /**
     * @param  list<array<string, mixed>>  $highlights
     * @return list<array<string, mixed>>
     */
    private function inNames(array $highlights, Exam $exam): array
    {
        $tokens = $this->tokens($highlights, $exam);

        return array_map(fn (array $one): array => [
            'part' => strtr((string) $one['part'], array_flip($tokens[(string) $one['question']] ?? [])),
        ] + $one, $highlights);
    }

    /**
     * @param  list<array<string, mixed>>  $highlights
     * @return array<string, array<string, string>> by code: of all versions of a question, for names last
     */
    private function tokens(array $highlights, Exam $exam): array
    {
        $codes = array_values(array_unique(array_filter(array_column($highlights, 'question'), is_string(...))));
        $tokens = [];
        foreach (PartTokens::ofQuestions($exam->id, $codes) as $code => $versions) {
            $tokens[$code] = array_merge(...array_column($versions, 'tokens'));
        }

        return $tokens;
    }

    private static function mine(string $table, Candidacy $candidacy): Builder
    {
        return DB::table($table)
            ->where("{$table}.user_id", $candidacy->user->id)
            ->where("{$table}.exam_id", $candidacy->exam->id);
    }

    /**
     * @param  array<string, mixed>  $row  as a database gives it
     * @return array<string, mixed>
     */
    private static function plain(array $row): array
    {
        foreach ($row as $column => $value) {
            $row[$column] = match (true) {
                $value !== null && in_array($column, self::BOOLEANS, true) => (bool) $value,
                is_string($value) && in_array($column, ['weekdays_off', 'dates_off'], true) => json_decode($value),
                default => $value,
            };
        }

        return $row;
    }

    /**
     * @param  array<string, mixed>  $row
     * @return array<string, mixed> as a database takes it
     */
    private static function stored(array $row): array
    {
        return array_map(fn (mixed $value): mixed => is_array($value) ? json_encode($value) : $value, $row);
    }
}
