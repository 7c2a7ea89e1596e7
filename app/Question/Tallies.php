<?php

declare(strict_types=1);

namespace App\Question;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * How many live questions each topic and unit holds, kept beside them: a page that shows the bank must not count it.
 * Whoever changes the bank renews them.
 */
final class Tallies
{
    public function renew(int $exam): void
    {
        $this->update('units', $exam, ['questions' => $this->live('unit_id', 'units.id')]);
        $this->update('topics', $exam, [
            'questions' => $this->live('topic_id', 'topics.id'),
            'alone' => $this->live('topic_id', 'topics.id')->whereNull('questions.unit_id'),
        ]);
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
            $rows = DB::table($table)->select(["{$table}.code", "{$table}.{$column} as kept"])->selectSub($count, 'n');
            foreach (DB::query()->fromSub($rows, 'rows')->whereColumn('kept', '!=', 'n')->get() as $row) {
                $faults[] = "{$table} {$row->code}: {$column} is stored as {$row->kept} and comes to {$row->n}.";
            }
        }

        return $faults;
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
