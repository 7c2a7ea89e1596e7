<?php

declare(strict_types=1);

namespace App\Question;

use App\Database\Columns;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Filter\DifficultyFilter;
use Uplandia\Core\Assembly\Filter\KindFilter;
use Uplandia\Core\Assembly\Filter\TagFilter;
use Uplandia\Core\Question\QuestionSet;

/**
 * Which live questions of an exam have which value of which family of tags, kept beside the bank: what a dozen filters
 * would leave is worked out from these sets, whatever else is chosen. Whoever changes the bank renews them.
 */
final class QuestionSets
{
    /** Families that are no tags. The one value of LIVE is empty; those of TOPIC and ALONE are ids of topics. */
    public const LIVE = '_live';

    public const TOPIC = '_topic';

    /** What stands alone, in no unit. */
    public const ALONE = '_alone';

    /** The tables keep whole sets, a few kilobytes each. */
    private const ROWS_AT_ONCE = 100;

    private const VALUES_AT_ONCE = 500;

    public function renew(int $exam): void
    {
        DB::table('question_sets')->where('exam_id', $exam)->delete();
        $rows = [];
        foreach ($this->there($exam) as $family => $values) {
            foreach ($values as $value => $ids) {
                $rows[] = [
                    'exam_id' => $exam,
                    'family' => $family,
                    'value' => $value,
                    'questions' => count($ids),
                    'members' => QuestionSet::of($ids)->text(),
                ];
            }
        }
        foreach (array_chunk($rows, self::ROWS_AT_ONCE) as $chunk) {
            DB::table('question_sets')->insert($chunk);
        }
    }

    /**
     * All but the topics, of which there may be hundreds.
     *
     * @return array<string, array<string, QuestionSet>> by family and value, both in order
     */
    public function of(int $exam): array
    {
        $rows = DB::table('question_sets')
            ->where('exam_id', $exam)
            ->whereNotIn('family', [self::TOPIC, self::ALONE])
            ->orderBy('family')
            ->orderBy('value')
            ->get(['family', 'value', 'members']);
        $sets = [];
        foreach ($rows as $row) {
            $sets[(string) $row->family][(string) $row->value] = QuestionSet::fromText((string) $row->members);
        }

        return $sets;
    }

    /**
     * What has any of some values of a family.
     *
     * @param  list<string>  $values
     */
    public function anyOf(int $exam, string $family, array $values): QuestionSet
    {
        return $family === TagFilter::READS
            ? $this->reading($exam, $values)
            : QuestionSet::anyOf(array_values($this->texts($exam, $family, $values)));
    }

    /**
     * What stands alone.
     *
     * @param  list<int>  $topics
     * @return array<int, list<int>> topic id => ids of questions, ascending
     */
    public function byTopic(int $exam, array $topics): array
    {
        $ids = [];
        foreach ($this->texts($exam, self::ALONE, array_map(strval(...), $topics)) as $topic => $text) {
            $ids[(int) $topic] = QuestionSet::idsIn($text);
        }

        return $ids;
    }

    /**
     * @param  list<string>  $values
     * @return array<string, string> value => what is kept of it
     */
    private function texts(int $exam, string $family, array $values): array
    {
        $texts = [];
        foreach (array_chunk($values, self::VALUES_AT_ONCE) as $chunk) {
            $texts += DB::table('question_sets')
                ->where('exam_id', $exam)
                ->where('family', $family)
                ->whereIn('value', $chunk)
                ->pluck('members', 'value')
                ->all();
        }

        /** @var array<string, string> $texts */
        return $texts;
    }

    /**
     * Sections of the handbook are many, and nobody counts them together: they are looked up.
     *
     * @param  list<string>  $sections
     */
    private function reading(int $exam, array $sections): QuestionSet
    {
        return QuestionSet::of(Columns::first(
            DB::table('question_tags')
                ->where('family', TagFilter::READS)
                ->whereIn('value', $sections)
                ->join('questions', 'questions.id', '=', 'question_tags.question_id')
                ->where('questions.exam_id', $exam)
                ->whereNull('questions.retired_at')
                ->select('questions.id'),
        ));
    }

    /** @return array<string, int> how many live questions have each value of a family */
    public function counts(int $exam, string $family): array
    {
        /** @var array<string, int> $counts */
        $counts = DB::table('question_sets')
            ->where('exam_id', $exam)
            ->where('family', $family)
            ->orderBy('value')
            ->pluck('questions', 'value')
            ->all();

        return $counts;
    }

    /** @return list<string> how what is kept differs from what is there */
    public function faults(): array
    {
        $faults = [];
        foreach (DB::table('exams')->pluck('slug', 'id') as $exam => $slug) {
            $there = $this->there((int) $exam);
            foreach (DB::table('question_sets')->where('exam_id', $exam)->cursor() as $row) {
                $ids = $there[$row->family][$row->value] ?? [];
                unset($there[$row->family][$row->value]);
                sort($ids);
                if ((int) $row->questions !== count($ids) || QuestionSet::fromText($row->members)->ids() !== $ids) {
                    $faults[] = "question_sets {$slug}: {$row->family} \"{$row->value}\" is not what is stored.";
                }
            }
            foreach ($there as $family => $values) {
                foreach (array_keys($values) as $value) {
                    $faults[] = "question_sets {$slug}: {$family} \"{$value}\" is not stored.";
                }
            }
        }

        return $faults;
    }

    /** @return array<string, array<string, list<int>>> family => value => ids of live questions */
    private function there(int $exam): array
    {
        $live = fn (): Builder => DB::table('questions')->where('exam_id', $exam)->whereNull('retired_at');
        $there = [];
        foreach ($live()->select(['id', 'topic_id', 'unit_id', 'difficulty', 'kind'])->cursor() as $row) {
            $there[self::LIVE][''][] = (int) $row->id;
            $there[self::TOPIC][(string) $row->topic_id][] = (int) $row->id;
            if ($row->unit_id === null) {
                $there[self::ALONE][(string) $row->topic_id][] = (int) $row->id;
            }
            $there[DifficultyFilter::FAMILY][(string) $row->difficulty][] = (int) $row->id;
            $there[KindFilter::FAMILY][(string) $row->kind][] = (int) $row->id;
        }
        $tags = $live()
            ->join('question_tags', 'question_tags.question_id', '=', 'questions.id')
            ->where('family', '!=', TagFilter::READS)
            ->select(['questions.id', 'family', 'value']);
        foreach ($tags->cursor() as $row) {
            $there[(string) $row->family][(string) $row->value][] = (int) $row->id;
        }

        return $there;
    }
}
