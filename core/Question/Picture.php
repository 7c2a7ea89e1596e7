<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

/** Point on a picture: hit every target, with no more points than targets. */
final readonly class Picture implements Question
{
    /**
     * @param  array<array-key, Target>  $targets  by id, at least one
     * @param  Rule  $rule  `hits` (share of targets hit) or `all_or_nothing`
     * @param  array<array-key, Target>  $decoys  by id: other places that the reasons speak of
     *
     * @throws InvalidQuestion
     */
    public function __construct(public array $targets, public Rule $rule = Rule::Hits, public array $decoys = [])
    {
        if ($targets === []) {
            throw InvalidQuestion::because('A picture question needs at least one target.');
        }
        if (! in_array($rule, [Rule::Hits, Rule::AllOrNothing], true)) {
            throw InvalidQuestion::because("The rule \"{$rule->value}\" does not fit a picture question.");
        }
    }

    public function kind(): Kind
    {
        return Kind::Picture;
    }
}
