<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Question\QuestionVersion;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Marking\MarkScheme;

/** The questions of a test in the versions it was made with. */
final class TestItems
{
    /**
     * @param  list<int>|null  $positions  null: all
     * @return array<int, TestItem> by position, in order
     */
    public function of(string $test, ?array $positions = null): array
    {
        if ($positions === []) {
            return [];
        }
        $rows = DB::table('test_items')
            ->where('test_id', $test)
            ->when($positions !== null, fn ($query) => $query->whereIn('position', $positions ?? []))
            ->orderBy('position')
            ->get(['position', 'question_id', 'version_id', 'marks', 'penalty', 'section']);
        $versions = QuestionVersion::query()->whereIn('id', $rows->pluck('version_id'))->get()->keyBy('id');
        $items = [];
        foreach ($rows as $row) {
            $version = $versions[(int) $row->version_id] ?? null;
            assert($version instanceof QuestionVersion);
            $items[(int) $row->position] = new TestItem(
                position: (int) $row->position,
                questionId: (int) $row->question_id,
                version: $version,
                question: $version->forMarking(),
                scheme: new MarkScheme((string) $row->marks, (string) $row->penalty),
                section: $row->section,
            );
        }

        return $items;
    }

    /** @return array<int, int> question by position, in order */
    public function questions(string $test): array
    {
        return $this->questionsOf([$test])[$test] ?? [];
    }

    /**
     * @param  list<string>  $tests
     * @return array<string, array<int, int>> by test: question by position, in order
     */
    public function questionsOf(array $tests): array
    {
        $rows = DB::table('test_items')
            ->whereIn('test_id', $tests)
            ->orderBy('test_id')
            ->orderBy('position')
            ->get(['test_id', 'position', 'question_id']);
        $questions = [];
        foreach ($rows as $row) {
            $questions[(string) $row->test_id][(int) $row->position] = (int) $row->question_id;
        }

        return $questions;
    }
}
