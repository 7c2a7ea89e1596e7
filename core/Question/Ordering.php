<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Uplandia\Core\Chance;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\MalformedResponse;

/** Put the items in order. */
final readonly class Ordering extends Question
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

    public static function read(Kind $kind, Fields $shown, Fields $answer): self
    {
        return new self($answer->texts('order'), $answer->rule(Rule::AllOrNothing));
    }

    public function kind(): Kind
    {
        return Kind::Ordering;
    }

    protected function credit(array $response, ?array $rubricMarks): Credit
    {
        $order = Reading::ids($response, 'order', $this->places);
        if ($order === []) {
            return Credit::leftBlank();
        }
        $n = count($this->places);
        if (count($order) !== $n) {
            throw MalformedResponse::because('An ordering must name every item once.');
        }
        $places = array_map(fn (string $id): int => $this->places[$id], $order);

        return match ($this->rule) {
            Rule::Neighbours => Credit::ratio(self::neighboursKept($places), $n - 1),
            Rule::Pairs => Credit::ratio(self::pairsKept($places), intdiv($n * ($n - 1), 2)),
            default => Credit::when($places === range(0, $n - 1)),
        };
    }

    protected function judge(array $response): array
    {
        $mine = array_flip(Reading::ids($response, 'order', $this->places));
        $verdicts = [];
        foreach ($this->places as $item => $place) {
            $verdicts[$item] = self::answered(isset($mine[$item]), ($mine[$item] ?? null) === $place);
        }

        return $verdicts;
    }

    public function right(Chance $chance): array
    {
        return ['order' => self::names($this->places)];
    }

    /** Two neighbours swapped, or all of it shuffled. */
    public function wrong(Chance $chance, array $slips = []): array
    {
        $order = self::names($this->places);
        if ($chance->happens(0.4)) {
            $shuffled = $chance->shuffled($order);
            if ($shuffled !== $order) {
                return ['order' => $shuffled];
            }
        }
        $at = $chance->between(0, count($order) - 2);
        [$order[$at], $order[$at + 1]] = [$order[$at + 1], $order[$at]];

        return ['order' => array_values($order)];
    }

    /** @param  list<int>  $places */
    private static function neighboursKept(array $places): int
    {
        $kept = 0;
        for ($i = 1; $i < count($places); $i++) {
            $kept += $places[$i] === $places[$i - 1] + 1 ? 1 : 0;
        }

        return $kept;
    }

    /** @param  list<int>  $places */
    private static function pairsKept(array $places): int
    {
        $kept = 0;
        foreach ($places as $i => $place) {
            for ($j = $i + 1; $j < count($places); $j++) {
                $kept += $place < $places[$j] ? 1 : 0;
            }
        }

        return $kept;
    }
}
