<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

/** Several answers: exactly n, up to n, or as many as apply. */
final readonly class Several implements Question
{
    private const MOST_OPTIONS = 40;

    /** @var array<string, int> option id => its place as stored */
    public array $options;

    /** @var array<string, int> key id => place */
    public array $keys;

    /**
     * @param  list<string>  $options  4 to 40 option ids
     * @param  list<string>  $keys  the ids that belong to the right answer, at least one
     * @param  int|null  $limit  choosing more than this is worth 0; null: no limit
     *
     * @throws InvalidQuestion
     */
    public function __construct(array $options, array $keys, public Rule $rule, public ?int $limit = null)
    {
        $this->options = array_flip($options);
        $this->keys = array_flip($keys);
        if (count($this->options) !== count($options) || count($options) < 2 || count($options) > self::MOST_OPTIONS) {
            throw InvalidQuestion::because('A several-answers question needs 2 to 40 options with ids of their own.');
        }
        if (
            $keys === [] ||
            count($this->keys) !== count($keys) ||
            array_diff_key($this->keys, $this->options) !== []
        ) {
            throw InvalidQuestion::because('The keys must be one or more of the options, each named once.');
        }
        if ($limit !== null && $limit < 1) {
            throw InvalidQuestion::because('A limit on the number of answers must be at least 1.');
        }
        if (! in_array($rule, [Rule::AllOrNothing, Rule::Net, Rule::Hits, Rule::EachOption], true)) {
            throw InvalidQuestion::because("The rule \"{$rule->value}\" does not fit a several-answers question.");
        }
        if ($rule === Rule::Hits && $limit === null) {
            throw InvalidQuestion::because(
                'The rule "hits" needs a limit, or choosing everything would always be right.',
            );
        }
    }

    public function kind(): Kind
    {
        return Kind::Several;
    }
}
