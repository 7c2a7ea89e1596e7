<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

/**
 * The scale on which ability and difficulty are told: difficulties of items and the spread of ability, both from a
 * cohort's first looks. In the Rasch form θ = σz the common slope is σ, and b = −d. Source: computation.md, sections 7
 * and 8.
 */
final readonly class CohortScale
{
    private const NODES = 41;

    /** Far finer than any answer could tell. */
    private const TOLERANCE = 1e-3;

    private const MOST_ROUNDS = 60;

    /**
     * @param  array<int, float>  $b  by item
     * @param  float  $deviation  σ of the cohort; its mean is 0
     */
    private function __construct(public array $b, public float $deviation)
    {
    }

    /**
     * @param  iterable<FirstLook>  $looks  rapid guesses are left out
     * @param  array<int, float>  $chance  c by item
     * @param  array<int, float>  $author  the author's difficulty by item
     * @return self|null null: there are no looks at these items
     */
    public static function of(iterable $looks, array $chance, array $author): ?self
    {
        $items = $people = [];
        foreach (ItemAnalysis::withoutRapidGuesses($looks) as $look) {
            if (isset($chance[$look->item], $author[$look->item])) {
                $items[$look->item] ??= count($items);
                $people[$look->person][$items[$look->item]] = $look->credit;
            }
        }
        if ($people === []) {
            return null;
        }
        $calibration = new Calibration(
            model: Model::Rasch,
            nodes: self::NODES,
            tolerance: self::TOLERANCE,
            mostRounds: self::MOST_ROUNDS,
        );
        $found = $calibration->of(
            Patterns::ofPeople(array_values($people), count($items)),
            array_map(static fn (int $item): float => $chance[$item], array_keys($items)),
            array_map(static fn (int $item): float => $author[$item], array_keys($items)),
        );

        return new self(
            array_map(static fn (int $place): float => -$found->items[$place]->d, $items),
            $found->items[0]->a,
        );
    }
}
