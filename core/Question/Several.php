<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Uplandia\Core\Chance;
use Uplandia\Core\Marking\Credit;

/** Several answers: exactly n, up to n, or as many as apply. */
final readonly class Several extends Question
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

    public static function read(Kind $kind, Fields $shown, Fields $answer): self
    {
        return new self(
            options: $shown->ids('options'),
            keys: $answer->texts('keys'),
            rule: $answer->rule(Rule::AllOrNothing),
            limit: $shown->has('limit') ? $shown->integer('limit') : null,
        );
    }

    public function kind(): Kind
    {
        return Kind::Several;
    }

    /** Example: keys a, b of options a–e, rule `net`, response {choices: [a, c]} → max(0, (1 − 1)/2) = 0. */
    protected function credit(array $response, ?array $rubricMarks): Credit
    {
        $chosen = Reading::ids($response, 'choices', $this->options);
        if ($chosen === []) {
            return Credit::leftBlank();
        }
        if ($this->limit !== null && count($chosen) > $this->limit) {
            return Credit::nothing();
        }
        $hits = count(array_intersect_key(array_flip($chosen), $this->keys));
        $wrong = count($chosen) - $hits;
        $keys = count($this->keys);
        $options = count($this->options);

        return match ($this->rule) {
            Rule::Net => Credit::ratio(max(0, $hits - $wrong), $keys),
            Rule::Hits => Credit::ratio($hits, $keys),
            Rule::EachOption => Credit::ratio($options - $wrong - ($keys - $hits), $options),
            default => Credit::when($hits === $keys && $wrong === 0),
        };
    }

    protected function judge(array $response): array
    {
        return self::chosen($this->options, $this->keys, Reading::ids($response, 'choices', $this->options));
    }

    public function right(Chance $chance): array
    {
        return ['choices' => self::names($this->keys)];
    }

    /** One key left out, and another option in its place where there is one. */
    public function wrong(Chance $chance, array $slips = []): array
    {
        $keys = self::names($this->keys);
        $others = array_values(array_diff(self::names($this->options), $keys));
        $kept = array_slice($chance->shuffled($keys), 0, max(0, count($keys) - 1));

        return [
            'choices' => $others === [] ? ($kept === [] ? $keys : $kept) : [...$kept, $chance->one($others)],
        ];
    }
}
