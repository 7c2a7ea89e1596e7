<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Refusal;
use Closure;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Question\Kind;

/**
 * The questions of a test that is being made, in the versions they have now.
 *
 * @phpstan-import-type Item from Test
 *
 * @phpstan-type Worth array{marks: string, penalty: string, section: string|null}
 */
final class NewItems
{
    /**
     * @param  list<int>  $questions  ids, in order
     * @param  Closure(int, Kind, string): Worth  $worth  what one is worth, given its id, kind and own marks
     * @return list<Item>
     *
     * @throws Refusal when one of them has just left the bank
     */
    public static function of(array $questions, Closure $worth): array
    {
        $rows = DB::table('questions')
            ->join('question_versions', 'question_versions.id', '=', 'questions.version_id')
            ->whereIn('questions.id', $questions)
            ->get(['questions.id', 'questions.version_id', 'questions.kind', 'question_versions.marks'])
            ->keyBy('id');
        $items = [];
        foreach ($questions as $position => $question) {
            $row =
                $rows[$question] ??
                throw Refusal::conflict('bank_changed', 'The bank has just changed. Build the test again.');
            $items[] = [
                'position' => $position,
                'question_id' => $question,
                'version_id' => (int) $row->version_id,
                ...$worth($question, Kind::from((string) $row->kind), (string) $row->marks),
            ];
        }

        return $items;
    }
}
