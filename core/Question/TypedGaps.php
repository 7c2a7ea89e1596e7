<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Brick\Math\BigRational;

/** Gaps to type, one or more. */
final readonly class TypedGaps implements Question
{
    /** @var array<string, BigRational> gap id => weight; the weights add up to 1 */
    public array $weights;

    /**
     * @param  array<string, Gap>  $gaps  by gap id
     * @param  array<string, int|string>  $weights  by gap id, positive; absent gaps weigh 1
     *
     * @throws InvalidQuestion
     */
    public function __construct(public array $gaps, public Rule $rule, array $weights = [])
    {
        if ($gaps === []) {
            throw InvalidQuestion::because('A question with gaps needs at least one gap.');
        }
        if (! in_array($rule, [Rule::AllOrNothing, Rule::Each], true)) {
            throw InvalidQuestion::because("The rule \"{$rule->value}\" does not fit typed gaps.");
        }
        $this->weights = Weights::normalised(array_keys($gaps), $weights);
    }

    public function kind(): Kind
    {
        return Kind::TypedGaps;
    }
}
