<?php

declare(strict_types=1);

namespace App\Question;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * How many live questions each topic and unit holds, and how difficult, kept beside them: a page that shows the bank
 * must not count it.
 * Whoever changes the bank renews them.
 */
final class Tallies
{
    /** Families of values that are no tags. */
    public const DIFFICULTY = '_difficulty';

    public const KIND = '_kind';

    public function renew(int $exam): void
    {
        $this->update('units', $exam, ['questions' => $this->live('unit_id', 'units.id')]);
        $this->update('topics', $exam, [
            'questions' => $this->live('topic_id', 'topics.id'),
            'alone' => $this->live('topic_id', 'topics.id')->whereNull('questions.unit_id'),
        ]);
        $topics = DB::table('topics')->select('id')->where('exam_id', $exam);
        foreach (self::lists() as $table => [$columns, $counts]) {
            DB::table($table)->whereIn('topic_id', $topics)->delete();
            foreach ($counts as $count) {
                DB::table($table)->insertUsing([...$columns, 'questions'], $count->where('questions.exam_id', $exam));
            }
        }
    }

    /** @return list<string> how what is kept differs from what is there */
    public function faults(): array
    {
        $faults = [];
        $kept = [
            ['units', 'questions', $this->live('unit_id', 'units.id')],
            ['topics', 'questions', $this->live('topic_id', 'topics.id')],
            ['topics', 'alone', $this->live('topic_id', 'topics.id')->whereNull('questions.unit_id')],
        ];
        foreach ($kept as [$table, $column, $count]) {
            $rows = DB::table($table)
                ->select(["{$table}.code", "{$table}.{$column} as kept"])
                ->selectSub($count, 'n');
            foreach (DB::query()->fromSub($rows, 'rows')->whereColumn('kept', '!=', 'n')->get() as $row) {
                $faults[] = "{$table} {$row->code}: {$column} is stored as {$row->kept} and comes to {$row->n}.";
            }
        }

        foreach (self::lists() as $table => [$columns, $counts]) {
            $counted = array_merge(...array_map(fn (Builder $count): array => $count->get()->all(), $counts));
            $counted = array_map(fn (stdClass $row): string => implode("\t", (array) $row), $counted);
            $kept = DB::table($table)
                ->get([...$columns, 'questions'])
                ->all();
            $kept = array_map(fn (stdClass $row): string => implode("\t", (array) $row), $kept);
            foreach (array_diff($counted, $kept) as $row) {
                $faults[] = "{$table}: \"{$row}\" is not what is stored.";
            }
            foreach (array_diff($kept, $counted) as $row) {
                $faults[] = "{$table}: \"{$row}\" is stored and not what there is.";
            }
        }

        return $faults;
    }

    /** @return array<string, array{list<string>, list<Builder>}> table => its key, and what it counts */
    private static function lists(): array
    {
        $values = fn (string $family, string $value, ?Builder $of = null): Builder => ($of ?? DB::table('questions'))
            ->whereNull('questions.retired_at')
            ->groupBy('questions.topic_id', 'family', 'value')
            ->selectRaw("questions.topic_id, {$family} as family, {$value} as value, count(*) as questions");
        $tags = DB::table('questions')->join('question_tags', 'question_tags.question_id', '=', 'questions.id');

        return [
            'topic_difficulties' => [
                ['topic_id', 'b', 'luck'],
                [
                    DB::table('questions')
                        ->whereNull('questions.retired_at')
                        ->groupBy('topic_id', 'b', 'luck')
                        ->selectRaw('topic_id, b, luck, count(*) as questions'),
                ],
            ],
            'topic_values' => [
                ['topic_id', 'family', 'value'],
                [
                    $values("'".self::DIFFICULTY."'", 'questions.difficulty'),
                    $values("'".self::KIND."'", 'questions.kind'),
                    $values('question_tags.family', 'question_tags.value', $tags),
                ],
            ],
        ];
    }

    /** @param  array<string, Builder>  $counts  by column */
    private function update(string $table, int $exam, array $counts): void
    {
        DB::table($table)->where('exam_id', $exam)->update($counts);
    }

    private function live(string $column, string $is): Builder
    {
        return DB::table('questions')
            ->selectRaw('count(*)')
            ->whereColumn("questions.{$column}", $is)
            ->whereNull('questions.retired_at');
    }
}
