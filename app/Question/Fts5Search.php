<?php

declare(strict_types=1);

namespace App\Question;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\SearchTerm;
use Uplandia\Core\Assembly\SearchText;

/** Full text by SQLite's own FTS5: case and accents folded. */
final class Fts5Search implements TextSearch
{
    public function keep(int $question, array $texts): void
    {
        $this->forget($question);
        DB::table('question_texts')->insert(['rowid' => $question] + $texts);
    }

    public function forget(int $question): void
    {
        DB::table('question_texts')->where('rowid', $question)->delete();
    }

    public function narrow(Builder $query, string $questionId, SearchText $search): Builder
    {
        foreach ([false, true] as $without) {
            $terms = array_filter($search->terms, fn (SearchTerm $term): bool => $term->without === $without);
            if ($terms !== []) {
                $expression = implode($without ? ' OR ' : ' AND ', array_map($this->expression(...), $terms));
                $found = fn (Builder $texts): Builder => $texts
                    ->from('question_texts')
                    ->select('rowid')
                    ->whereRaw('question_texts match ?', [$expression]);
                $query->whereIn($questionId, $found, 'and', $without);
            }
        }

        return $query;
    }

    public function inOrderOfStems(Builder $query, string $questionId, bool $down): Builder
    {
        return $query
            ->join('question_texts', 'question_texts.rowid', '=', $questionId)
            ->orderByRaw('question_texts.stem collate nocase '.($down ? 'desc' : 'asc'));
    }

    /** The words hold letters and figures only, so nothing in them can be taken for an operator. */
    private function expression(SearchTerm $term): string
    {
        return '"'.implode(' ', $term->words).'"'.($term->prefix ? '*' : '');
    }
}
