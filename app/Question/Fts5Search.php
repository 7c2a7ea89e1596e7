<?php

declare(strict_types=1);

namespace App\Question;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use PDO;
use Uplandia\Core\Assembly\SearchTerm;
use Uplandia\Core\Assembly\SearchText;

/** Full text by SQLite's own FTS5: case and accents folded, English words by their stems. */
final class Fts5Search implements TextSearch
{
    /** How it takes texts apart. */
    public const TOKENS = 'porter unicode61 remove_diacritics 2';

    /** So many words are offered. */
    private const CLOSE = 6;

    /** Of so many stems it is looked up how they are written. */
    private const STEMS = 12;

    /** A word that is meant differs in so many letters at most. */
    private const LETTERS = 2;

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
        foreach ($this->expressions($search) as $without => $expression) {
            if ($expression !== null) {
                $found = fn (Builder $texts): Builder => $texts
                    ->from('question_texts')
                    ->select('rowid')
                    ->whereRaw('question_texts match ?', [$expression]);
                $query->whereIn($questionId, $found, 'and', (bool) $without);
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

    public function among(array $texts, SearchText ...$searches): array
    {
        $own = new PDO('sqlite::memory:', options: [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
        $own->exec("create virtual table texts using fts5(body, tokenize = '".self::TOKENS."')");
        $own->beginTransaction();
        $keep = $own->prepare('insert into texts (rowid, body) values (?, ?)');
        $keys = array_keys($texts);
        foreach ($keys as $row => $key) {
            $keep->execute([$row + 1, $texts[$key]]);
        }
        $find = $own->prepare('select rowid from texts where texts match ? order by rowid');
        $found = [];
        foreach ($searches as $search) {
            [$with, $without] = $this->expressions($search);
            if ($with !== null) {
                $find->execute([$without === null ? $with : "({$with}) NOT ({$without})"]);
                $found = [...$found, ...$find->fetchAll(PDO::FETCH_COLUMN)];
            }
        }

        return array_map(
            fn (mixed $row): int|string => $keys[(int) $row - 1],
            array_values(array_unique($found)),
        );
    }

    public function close(SearchText $search): array
    {
        $words = array_column(array_filter($search->terms, fn (SearchTerm $term): bool => ! $term->without), 'words');
        $found = [];
        // The index has folded its letters, too.
        foreach (array_unique(array_map(Str::ascii(...), array_merge(...$words))) as $word) {
            $length = strlen($word);
            $near = $length < 4 ? [] : DB::table('question_words')
                ->whereBetween(DB::raw('length(term)'), [$length - 4, $length + 2])
                ->whereRaw('substr(term, 1, 1) = ?', [$word[0]])
                ->orderByDesc('doc')
                ->pluck('term')
                ->all();
            $far = array_filter(
                array_combine($near, array_map(fn (mixed $stem): int => self::distance($word, (string) $stem), $near)),
                fn (int $letters): bool => $letters <= self::LETTERS,
            );
            asort($far);
            foreach (array_slice(array_keys($far), 0, self::STEMS) as $stem) {
                $whole = $this->wordOf((string) $stem);
                $letters = $whole === null || $whole === $word ? null : levenshtein($whole, $word);
                // What is far from it as a whole is another word.
                if ($letters !== null && $letters <= self::LETTERS) {
                    $found[$whole] = $letters;
                }
            }
        }
        // Where one letter makes it a word, what is two letters away was not meant.
        $found = $found === [] ? [] : array_keys($found, min($found), true);

        return array_map(strval(...), array_slice($found, 0, self::CLOSE));
    }

    /** How far a word is from a stem: what the stem has lost at its end does not count. */
    private static function distance(string $word, string $stem): int
    {
        return min(
            levenshtein($word, $stem),
            levenshtein(substr($word, 0, strlen($stem)), $stem),
            levenshtein(substr($word, 0, strlen($stem) + 1), $stem),
        );
    }

    /** A word as it is written somewhere, of which the index knows the stem; null: none that can be told. */
    private function wordOf(string $stem): ?string
    {
        $text = DB::table('question_texts')
            ->whereRaw('question_texts match ?', ['"'.$stem.'"*'])
            ->selectRaw("stem || ' ' || parts || ' ' || exhibits || ' ' || topic as said")
            ->value('said');
        $words = preg_match_all('/(?<![\p{L}\p{N}])'.preg_quote($stem, '/').'\p{L}*/iu', (string) $text, $found);

        return $words === 0 || $words === false ? null : mb_strtolower($found[0][0]);
    }

    /** @return array{string|null, string|null} what must be there, and what must not; null: nothing */
    private function expressions(SearchText $search): array
    {
        $of = fn (bool $without): array => array_map(
            $this->expression(...),
            array_filter($search->terms, fn (SearchTerm $term): bool => $term->without === $without),
        );
        [$with, $without] = [$of(false), $of(true)];

        return [$with === [] ? null : implode(' AND ', $with), $without === [] ? null : implode(' OR ', $without)];
    }

    /** The words hold letters and figures only, so nothing in them can be taken for an operator. */
    private function expression(SearchTerm $term): string
    {
        return '"'.implode(' ', $term->words).'"'.($term->prefix ? '*' : '');
    }
}
