<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Question\QuestionShowing;
use App\Question\QuestionView;
use App\Question\UnitView;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Question\UnitKind;

/** The questions of a sitting as its candidate sees them. Only the columns that may be seen are read at all. */
final class SittingQuestions
{
    /**
     * @param  int  $from  first position
     * @return list<QuestionView>
     */
    public function questions(Sitting $sitting, int $from = 0): array
    {
        $showing = new QuestionShowing(
            $sitting->seed(),
            $sitting->terms()->shuffled,
            $sitting->loadMissing('test.exam')->test->exam->voidsOverLimit(),
        );
        $rows = DB::table('test_items')
            ->join('question_versions', 'question_versions.id', '=', 'test_items.version_id')
            ->leftJoin('unit_versions', 'unit_versions.id', '=', 'question_versions.unit_version_id')
            ->where('test_items.test_id', $sitting->test_id)
            ->where('test_items.position', '>=', $from)
            ->orderBy('test_items.position')
            ->get([
                'test_items.position',
                'test_items.marks',
                'test_items.penalty',
                'question_versions.kind',
                'question_versions.shown',
                'unit_versions.unit_id as unit',
            ]);
        $begins = $questions = [];
        foreach ($rows as $row) {
            $position = (int) $row->position;
            $begins[$row->unit ?? ''] ??= $position;
            $questions[] = $showing->question(
                position: $position,
                kind: Kind::from((string) $row->kind),
                shown: (array) json_decode((string) $row->shown, true),
                marks: (string) $row->marks,
                penalty: (string) $row->penalty,
                unit: $row->unit === null ? null : UnitView::idAt($begins[$row->unit]),
            );
        }

        return $questions;
    }

    /**
     * @param  int  $from  first position
     * @return list<UnitView> in the order of the test, each as the questions of this test have it
     */
    public function units(Sitting $sitting, int $from = 0): array
    {
        $units = DB::table('test_items')
            ->join('question_versions', 'question_versions.id', '=', 'test_items.version_id')
            ->join('unit_versions', 'unit_versions.id', '=', 'question_versions.unit_version_id')
            ->join('units', 'units.id', '=', 'unit_versions.unit_id')
            ->where('test_items.test_id', $sitting->test_id)
            ->where('test_items.position', '>=', $from)
            ->orderBy('test_items.position')
            ->get(['test_items.position', 'units.id', 'units.kind', 'unit_versions.shown'])
            ->groupBy('id');

        return array_map(self::unit(...), array_values($units->all()));
    }

    /** @return list<string> the topic of each question, as its version has it */
    public function topics(Sitting $sitting): array
    {
        $names = DB::table('test_items')
            ->join('question_versions', 'question_versions.id', '=', 'test_items.version_id')
            ->join('topics', 'topics.id', '=', 'question_versions.topic_id')
            ->where('test_items.test_id', $sitting->test_id)
            ->orderBy('test_items.position')
            ->pluck('topics.name');

        return array_map(fn (mixed $name): string => is_string($name) ? $name : '', array_values($names->all()));
    }

    /** @param  Collection<int, \stdClass>  $rows  at least one */
    private static function unit(Collection $rows): UnitView
    {
        $positions = [];
        foreach ($rows as $row) {
            $positions[] = (int) $row->position;
        }
        assert($positions !== []);
        $first = $rows->firstOrFail();

        return UnitView::of(
            UnitKind::from((string) $first->kind),
            (array) json_decode((string) $first->shown, true),
            $positions,
        );
    }
}
