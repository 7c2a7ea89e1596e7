<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly\Filter;

use Uplandia\Core\Assembly\Pool;
use Uplandia\Core\Assembly\SearchText;
use Uplandia\Core\Question\QuestionSet;

/** The questions of a bank as filters ask for them, and what one candidate has to do with them. */
interface BankSets
{
    public function live(): QuestionSet;

    /**
     * Live questions with one of some values of a family: a kind, a difficulty, a tag.
     *
     * @param  list<string>  $values
     */
    public function having(string $family, array $values): QuestionSet;

    /** @param  list<string>  $codes  of topics or subtopics; a topic stands for all under it */
    public function under(array $codes): QuestionSet;

    /** @param  list<Pool>  $pools  any of which will do */
    public function inAnyOf(array $pools): QuestionSet;

    public function found(SearchText $text): QuestionSet;
}
