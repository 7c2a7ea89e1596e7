<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Brick\Math\BigRational;
use Uplandia\Core\Chance;
use Uplandia\Core\Marking\Credit;

/** Gaps to type, one or more. */
final readonly class TypedGaps extends Question
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

    public static function read(Kind $kind, Fields $shown, Fields $answer): self
    {
        return new self(
            array_map(
                static fn (Fields $gap): Gap => new Gap(
                    $gap->texts('accepted'),
                    $gap->flag('strip_accents'),
                    $gap->flag('allow_slip'),
                ),
                $answer->eachByName('gaps'),
            ),
            $answer->rule(Rule::Each),
            Weights::read($answer),
        );
    }

    public function kind(): Kind
    {
        return Kind::TypedGaps;
    }

    protected function credit(array $response, ?array $rubricMarks): Credit
    {
        $typed = Reading::textById($response, 'gaps', $this->gaps);
        if ($typed === []) {
            return Credit::leftBlank();
        }
        $right = [];
        foreach ($typed as $gap => $text) {
            if (TypedText::matches($text, $this->gaps[$gap])) {
                $right[] = $gap;
            }
        }

        return Weights::credit($this->rule, $right, $this->weights);
    }

    protected function judge(array $response): array
    {
        $typed = Reading::textById($response, 'gaps', $this->gaps);
        $verdicts = [];
        foreach ($this->gaps as $id => $gap) {
            $right = isset($typed[$id]) && TypedText::matches($typed[$id], $gap);
            $verdicts[(string) $id] = self::answered(isset($typed[$id]), $right);
        }

        return $verdicts;
    }

    public function right(Chance $chance): array
    {
        return ['gaps' => array_map(static fn (Gap $gap): string => $gap->accepted[0], $this->gaps)];
    }

    /** One gap is wrong. */
    public function wrong(Chance $chance, array $slips = []): array
    {
        $gaps = array_map(static fn (Gap $gap): string => $gap->accepted[0], $this->gaps);
        $gaps[$chance->one(self::names($gaps))] = 'not sure';

        return ['gaps' => $gaps];
    }
}
