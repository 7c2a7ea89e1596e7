<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly\Filter;

use Uplandia\Core\Assembly\InvalidRecipe;
use Uplandia\Core\Question\Fields;
use Uplandia\Core\Question\InvalidQuestion;
use Uplandia\Core\Question\QuestionSet;

/**
 * One way to say which questions pass: its key, how it is read and kept, which questions pass it, and the way out
 * where it leaves too few. Those there are stand in `Filters::KNOWN`; counting, drawing, facets and shortfalls ask
 * nothing else of them (docs/architecture.md, "A new filter").
 */
interface Filter
{
    /** What it is called in a recipe. */
    public static function key(): string;

    /**
     * @return self|null null: nothing of it is chosen, so everything passes
     *
     * @throws InvalidRecipe with what to mend
     * @throws InvalidQuestion where the choices have another shape
     */
    public static function read(Fields $choices): ?self;

    /** What a recipe keeps where nothing of it is chosen. */
    public static function unused(): mixed;

    /** The way out, said by a shortfall: "any difficulty". */
    public static function wayOut(): string;

    /** What is chosen, as a recipe keeps it: what `read` reads. */
    public function chosen(): mixed;

    /**
     * @return array<string, QuestionSet> by family: a question passes that is in the set of each
     */
    public function passing(BankSets $bank): array;
}
