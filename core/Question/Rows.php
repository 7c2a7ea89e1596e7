<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Brick\Math\BigRational;
use Uplandia\Core\Chance;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\MalformedResponse;

/** Rows that each want one choice: true/false grid, matching, sort into groups, gaps with drop-down choices. */
final readonly class Rows extends Question
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

    public static function read(Kind $kind, Fields $shown, Fields $answer): self
    {
        $shared = $shown->has('choices') ? $shown->ids('choices') : [];
        $choices = [];
        foreach ($shown->each('rows') as $row) {
            $choices[$row->text('id')] = $row->has('choices') ? $row->ids('choices') : $shared;
        }
        $keys = $answer->textMap('keys');
        if (
            array_keys($keys) != array_keys($choices) &&
            (array_diff_key($keys, $choices) !== [] || array_diff_key($choices, $keys) !== [])
        ) {
            throw InvalidQuestion::because('Every row needs a key, and every key a row.');
        }

        return new self(
            kind: $kind,
            keys: $keys,
            choices: $choices,
            rule: $answer->rule(Rule::Each),
            weights: Weights::read($answer),
        );
    }

    public function kind(): Kind
    {
        return $this->kind;
    }

    protected function credit(array $response, ?array $rubricMarks): Credit
    {
        $chosen = Reading::textById($response, 'rows', $this->keys);
        if ($chosen === []) {
            return Credit::leftBlank();
        }
        $right = [];
        foreach ($chosen as $row => $choice) {
            if (! in_array($choice, $this->choices[$row], true)) {
                throw MalformedResponse::unknown('a choice', $choice);
            }
            if ($choice === $this->keys[$row]) {
                $right[] = $row;
            }
        }

        return Weights::credit($this->rule, $right, $this->weights);
    }

    protected function judge(array $response): array
    {
        $chosen = Reading::textById($response, 'rows', $this->keys);
        $verdicts = [];
        foreach ($this->keys as $row => $key) {
            $verdicts[$row] = self::answered(isset($chosen[$row]), ($chosen[$row] ?? null) === $key);
        }

        return $verdicts;
    }

    public function right(Chance $chance): array
    {
        return ['rows' => $this->keys];
    }

    /** Up to half of the rows are wrong. */
    public function wrong(Chance $chance, array $slips = []): array
    {
        $rows = $this->keys;
        $wrong = $chance->between(1, max(1, intdiv(count($rows) + 1, 2)));
        foreach (array_slice($chance->shuffled(self::names($rows)), 0, $wrong) as $row) {
            $others = array_values(array_diff($this->choices[$row], [$rows[$row]]));
            $rows[$row] = $others === [] ? $rows[$row] : $chance->one($others);
        }

        return ['rows' => $rows];
    }
}
