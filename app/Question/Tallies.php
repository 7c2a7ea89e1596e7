<?php

declare(strict_types=1);

namespace App\Question;

use App\Database\Recounts;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;
use Uplandia\Core\Assembly\Filter\TagFilter;

/**
 * How many live questions each topic and unit holds, how difficult, referring to what, and with which tags, kept
 * beside them: a page that shows the bank must not count it. Whoever changes the bank renews them, and with that makes
 * old what goes by it.
 */
final readonly class Tallies implements Recounts
{
    public function __construct(private QuestionSets $sets)
    {
    }

    public function renew(int $exam): void
    {
        $this->update('units', $exam, ['questions' => $this->live('unit_id', 'units.id')]);
        $this->update('topics', $exam, [
            'questions' => $this->live('topic_id', 'topics.id'),
            'alone' => $this->live('topic_id', 'topics.id')->whereNull('questions.unit_id'),
        ]);
        $topics = DB::table('topics')->select('id')->where('exam_id', $exam);
        foreach (self::byTopic() as $table => [$columns, $counted]) {
            DB::table($table)->whereIn('topic_id', $topics)->delete();
            DB::table($table)->insertUsing($columns, $counted->where('questions.exam_id', $exam));
        }
        $this->sets->renew($exam);
        // What was estimated by the bank as it was is of before.
        DB::table('kept_estimates')->where('exam_id', $exam)->increment('evidence');
    }

    public function what(): string
    {
        return 'Tallies of the bank that differ';
    }

    /** @return list<string> how what is kept differs from what is there */
    public function differences(?string $email): array
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

        $line = fn (stdClass $row): string => implode("\t", (array) $row);
        foreach (self::byTopic() as $table => [$columns, $counted]) {
            $there = array_map($line, $counted->get()->all());
            $kept = array_map($line, DB::table($table)->get($columns)->all());
            foreach (array_diff($there, $kept) as $row) {
                $faults[] = "{$table}: \"{$row}\" is not what is stored.";
            }
            foreach (array_diff($kept, $there) as $row) {
                $faults[] = "{$table}: \"{$row}\" is stored and not what there is.";
            }
        }

        return [...$faults, ...$this->sets->faults()];
    }

    /** @return array<string, array{list<string>, Builder}> by table: its columns, and what is counted in them */
    private static function byTopic(): array
    {
        $live = fn (): Builder => DB::table('questions')->whereNull('questions.retired_at');
        $read = $live()
            ->join('question_tags', 'question_tags.question_id', '=', 'questions.id')
            ->where('question_tags.family', TagFilter::READS);

        return [
            'topic_difficulties' => [
                ['topic_id', 'b', 'luck', 'questions'],
                $live()->groupBy('topic_id', 'b', 'luck')->selectRaw('topic_id, b, luck, count(*) as questions'),
            ],
            'topic_sections' => [
                ['topic_id', 'section', 'questions'],
                $read->groupBy('topic_id', 'value')->selectRaw('topic_id, value as section, count(*) as questions'),
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
