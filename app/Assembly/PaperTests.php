<?php

declare(strict_types=1);

namespace App\Assembly;

use Illuminate\Support\Facades\DB;
use LogicException;

/**
 * The one test that everybody sits who sits a fixed paper. When the paper or one of its questions has changed, the next
 * sitting gets a new test; those sat before keep theirs.
 */
final class PaperTests
{
    /** Needs the paper's exam. */
    public function of(Paper $paper): Test
    {
        return DB::transaction(function () use ($paper): Test {
            $items = $this->items($paper);
            foreach (Test::query()->where('paper_id', $paper->id)->get() as $test) {
                if ($this->same($test, $items)) {
                    return $test;
                }
            }

            return Test::holding([
                'exam_id' => $paper->exam_id, 'paper_id' => $paper->id, 'title' => $paper->title, 'mode' => 'timed',
                'limit_ms' => $paper->exam->blueprint()->minutes * TestBuilder::MS_PER_MINUTE, 'seed' => "paper {$paper->code}",
            ], $items);
        });
    }

    /** @return list<array{position: int, question_id: int, version_id: int, marks: string, penalty: string, section: string}> */
    private function items(Paper $paper): array
    {
        $blueprint = $paper->exam->blueprint();
        $rows = DB::table('paper_items')->join('questions', 'questions.id', '=', 'paper_items.question_id')->where('paper_id', $paper->id)->orderBy('position')
            ->get(['position', 'section', 'question_id', 'version_id']);

        return $rows->map(function (object $row) use ($blueprint): array {
            $section = $blueprint->section((string) $row->section) ?? throw new LogicException("The blueprint has no section \"{$row->section}\".");

            return [
                'position' => (int) $row->position, 'question_id' => (int) $row->question_id, 'version_id' => (int) $row->version_id,
                'marks' => (string) $section->marks, 'penalty' => (string) $section->penalty, 'section' => $section->code,
            ];
        })->values()->all();
    }

    /** @param  list<array<string, int|string>>  $items */
    private function same(Test $test, array $items): bool
    {
        $stored = DB::table('test_items')->where('test_id', $test->id)->orderBy('position')->get(['position', 'question_id', 'version_id', 'marks', 'penalty', 'section']);

        return $stored->map(fn (object $row): array => (array) $row)->values()->all() == $items;
    }
}
