<?php

declare(strict_types=1);

namespace App\Assembly;

use Illuminate\Support\Facades\DB;
use LogicException;
use Uplandia\Core\Assembly\Mode;

/**
 * The one test that everybody sits who sits a fixed paper. When the paper or one of its questions has changed, the
 * next
 * sitting gets a new test; those sat before keep theirs.
 *
 * @phpstan-import-type Item from Test
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

            return Test::holding(
                [
                    'exam_id' => $paper->exam_id,
                    'paper_id' => $paper->id,
                    'title' => $paper->title,
                    'mode' => Mode::Timed->value,
                    'seed' => "paper {$paper->code}",
                ],
                $items,
                null,
            );
        });
    }

    /** @return list<Item> */
    private function items(Paper $paper): array
    {
        $blueprint = $paper->exam->blueprint();
        $rows = DB::table('paper_items')
            ->join('questions', 'questions.id', '=', 'paper_items.question_id')
            ->where('paper_id', $paper->id)
            ->orderBy('position')
            ->get(['position', 'section', 'question_id', 'version_id']);
        $items = [];
        foreach ($rows as $row) {
            $section =
                $blueprint->section((string) $row->section) ??
                throw new LogicException("The blueprint has no section \"{$row->section}\".");
            $items[] = [
                'position' => (int) $row->position,
                'question_id' => (int) $row->question_id,
                'version_id' => (int) $row->version_id,
                'marks' => (string) $section->scheme->marks,
                'penalty' => (string) $section->scheme->penalty,
                'section' => $section->code,
            ];
        }

        return $items;
    }

    /** @param  list<Item>  $items */
    private function same(Test $test, array $items): bool
    {
        $stored = DB::table('test_items')
            ->where('test_id', $test->id)
            ->orderBy('position')
            ->get(['position', 'question_id', 'version_id', 'marks', 'penalty', 'section']);

        return $stored->map(fn (object $row): array => (array) $row)->values()->all() == $items;
    }
}
