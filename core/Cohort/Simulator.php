<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Uplandia\Core\Chance;
use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Question;
use Uplandia\Core\Question\Single;
use Uplandia\Core\Sitting\Sureness;

/**
 * A made-up cohort: θ ~ N(0, 1), δ_t ~ N(0, .5²), log time = β − τ + N(0, .3²), sureness from the felt chance of being
 * right, distractors by plausibility; some quit half-way, some guess rapidly at the end. The same seed gives the same
 * cohort. Source: computation.md, section 10.
 */
final readonly class Simulator
{
    private const QUIT = 0.06;

    private const RUSH = 0.08;

    private const STRIKES = 0.35;

    public Chance $chance;

    public function __construct(string $seed)
    {
        $this->chance = new Chance(new Randomizer(new Xoshiro256StarStar(hash('sha256', $seed, true))));
    }

    /**
     * An item whose truth lies round its author's label: b ± .4, a lognormal(0, .2).
     *
     * @param  float  $label  easy −1, moderate 0, hard +1
     * @param  string|null  $key  for single answers
     * @param  list<string>  $distractors
     */
    public function item(
        int $id,
        int $topic,
        float $label,
        float $c,
        ?string $key = null,
        array $distractors = [],
    ): SimulatedItem {
        $plausible = [];
        foreach ($distractors as $option) {
            $plausible[$option] = $this->chance->lognormal(0.8);
        }
        $b = $this->chance->normal($label, 0.4);

        return new SimulatedItem(
            id: $id,
            topic: $topic,
            b: $b,
            a: $this->chance->lognormal(0.2),
            c: $c,
            logSeconds: log(45) + 0.25 * $b + $this->chance->normal(0, 0.2),
            key: $key,
            distractors: $plausible,
        );
    }

    /**
     * The item that a question of any kind is: only a choice among options can be right by luck.
     */
    public function itemOf(int $id, int $topic, Difficulty $difficulty, Question $question): SimulatedItem
    {
        $options = $question instanceof Single ? array_map(strval(...), array_keys($question->options)) : [];
        $key = $question instanceof Single ? $question->key : null;

        return $this->item(
            id: $id,
            topic: $topic,
            label: $difficulty->b(),
            c: $options === [] ? 0.0 : 1 / count($options),
            key: $key,
            distractors: array_values(array_diff($options, [$key])),
        );
    }

    public function person(int $topics): SimulatedPerson
    {
        $general = $this->chance->normal();
        $theta = [];
        for ($t = 0; $t < $topics; $t++) {
            $theta[] = $general + $this->chance->normal(0, 0.5);
        }

        return new SimulatedPerson(
            theta: $theta,
            speed: $this->chance->normal(0, 0.25),
            bias: $this->chance->normal(0.2, 0.6),
            quitsAfter: $this->chance->happens(self::QUIT) ? 0.3 + 0.5 * $this->chance->uniform() : 1.0,
            rushesAfter: $this->chance->happens(self::RUSH) ? 0.8 + 0.15 * $this->chance->uniform() : 1.0,
        );
    }

    /** P(right) = c + (1 − c)·σ(a(θ − b)), 0 to 1. */
    public function probability(SimulatedPerson $person, SimulatedItem $item): float
    {
        return $item->c + (1 - $item->c) / (1 + exp(-$item->a * ($person->theta[$item->topic] - $item->b)));
    }

    /**
     * A person's run through some items, in order; it is shorter than the test when they quit.
     *
     * @param  list<SimulatedItem>  $items
     * @return list<SimulatedAnswer>
     */
    public function sit(SimulatedPerson $person, array $items): array
    {
        $answers = [];
        $n = count($items);
        foreach ($items as $i => $item) {
            if ($i >= $person->quitsAfter * $n) {
                break;
            }
            $answers[] = $i >= $person->rushesAfter * $n ? $this->rush($item) : $this->answer($person, $item);
        }

        return $answers;
    }

    public function answer(SimulatedPerson $person, SimulatedItem $item): SimulatedAnswer
    {
        $probability = $this->probability($person, $item);
        $right = $this->chance->happens($probability);
        $seconds = exp($item->logSeconds - $person->speed + $this->chance->normal(0, 0.3));
        // A right answer feels a little surer than a wrong one.
        $felt =
            log($probability / (1 - min($probability, 1 - 1e-9))) +
            $person->bias +
            ($right ? 0.5 : -0.5) +
            $this->chance->normal(0, 0.7);
        $sureness = match (true) {
            $felt > 1.6 => Sureness::Sure,
            $felt > -0.1 => Sureness::Leaning,
            default => Sureness::Guess,
        };

        return new SimulatedAnswer(
            item: $item->id,
            right: $right,
            option: $this->option($item, $right),
            ms: max(1000, (int) round(1000 * $seconds)),
            sureness: $sureness,
            struck: $this->struck($item, $right, $sureness),
        );
    }

    private function rush(SimulatedItem $item): SimulatedAnswer
    {
        $right = $this->chance->happens($item->c);

        return new SimulatedAnswer(
            item: $item->id,
            right: $right,
            option: $this->option($item, $right),
            ms: $this->chance->between(900, 2800),
            sureness: Sureness::Guess,
            struck: [],
        );
    }

    private function option(SimulatedItem $item, bool $right): ?string
    {
        return $right || $item->distractors === []
            ? ($right
                ? $item->key
                : null)
            : (string) $this->chance->pick($item->distractors);
    }

    /** @return list<string> */
    private function struck(SimulatedItem $item, bool $right, Sureness $sureness): array
    {
        if ($item->distractors === [] || ! $this->chance->happens(self::STRIKES)) {
            return [];
        }
        // The least plausible go first; a person who is wrong has sometimes struck the key.
        $order = $item->distractors;
        asort($order);
        $struck = array_map(strval(...), array_slice(array_keys($order), 0, $sureness === Sureness::Guess ? 1 : 2));

        return ! $right && $item->key !== null && $this->chance->happens(0.25)
            ? [...array_slice($struck, 1), $item->key]
            : $struck;
    }
}
