<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Brick\Math\BigRational;

/** Rows that each want one choice: true/false grid, matching, sort into groups, gaps with drop-down choices. */
final readonly class Rows implements Question
{
    /** @var array<string, BigRational> row id => weight; the weights add up to 1 */
    public array $weights;

    /**
     * @param  array<string, string>  $keys  row id => id of its right choice
     * @param  array<string, list<string>>  $choices  row id => ids that may be chosen in it
     * @param  array<string, int|string>  $weights  row id => positive weight; absent rows weigh 1 (gaps only)
     *
     * @throws InvalidQuestion
     */
    public function __construct(
        private Kind $kind,
        public array $keys,
        public array $choices,
        public Rule $rule,
        array $weights = [],
    ) {
        if (! in_array($kind, [Kind::TrueFalseGrid, Kind::Matching, Kind::Grouping, Kind::DropdownGaps], true)) {
            throw InvalidQuestion::because("The kind \"{$kind->value}\" has no rows of choices.");
        }
        if ($keys === []) {
            throw InvalidQuestion::because('A question with rows needs at least one row.');
        }
        foreach ($keys as $row => $key) {
            if (! in_array($key, $choices[$row] ?? [], true)) {
                throw InvalidQuestion::because("Row \"{$row}\" has a key that is not among its choices.");
            }
        }
        if (! in_array($rule, [Rule::AllOrNothing, Rule::Each], true)) {
            throw InvalidQuestion::because("The rule \"{$rule->value}\" does not fit a question with rows.");
        }
        $this->weights = Weights::normalised(array_keys($keys), $weights);
    }

    public function kind(): Kind
    {
        return $this->kind;
    }
}
