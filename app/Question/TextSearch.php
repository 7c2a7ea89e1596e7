<?php

declare(strict_types=1);

namespace App\Question;

use Illuminate\Database\Query\Builder;
use Uplandia\Core\Assembly\SearchText;

/** Searches what candidates may see of questions. Full text is the one thing that databases do each in its own way. */
interface TextSearch
{
    /**
     * Keeps the texts of a question in place of those it had.
     *
     * @param  array{stem: string, parts: string, exhibits: string, topic: string, tags: string}  $texts
     */
    public function keep(int $question, array $texts): void;

    public function forget(int $question): void;

    /** Narrows a query to questions in which a search finds something. */
    public function narrow(Builder $query, string $questionId, SearchText $search): Builder;

    /**
     * Which of a few texts some searches find something in, such as the pages of a handbook: as in questions.
     *
     * @param  array<int|string, string>  $texts
     * @return list<int|string> their keys, those of the first search first; an empty search finds nothing
     */
    public function among(array $texts, SearchText ...$searches): array;

    /** @return list<string> words of the bank that are spelt much like those of a search, the closest first */
    public function close(SearchText $search): array;

    /** Puts questions in the order of their stems as words: marks of Markdown and TeX that nobody sees don't count. */
    public function inOrderOfStems(Builder $query, string $questionId, bool $down): Builder;
}
