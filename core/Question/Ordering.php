<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

/** Put the items in order. */
final readonly class Ordering implements Question
{
    /** @var array<string, int> item id => its right place, from 0 */
    public array $places;

    /**
     * @param  list<string>  $order  item ids in the right order, at least two
     *
     * @throws InvalidQuestion
     */
    public function __construct(array $order, public Rule $rule)
    {
        $this->places = array_flip($order);
        if (count($order) < 2 || count($this->places) !== count($order)) {
            throw InvalidQuestion::because('An ordering needs at least two items with ids of their own.');
        }
        if (! in_array($rule, [Rule::AllOrNothing, Rule::Neighbours, Rule::Pairs], true)) {
            throw InvalidQuestion::because("The rule \"{$rule->value}\" does not fit an ordering.");
        }
    }

    public function kind(): Kind
    {
        return Kind::Ordering;
    }
}
