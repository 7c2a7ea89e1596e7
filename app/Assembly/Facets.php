<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\QuestionSets;
use Uplandia\Core\Assembly\Filter\DifficultyFilter;
use Uplandia\Core\Assembly\Filter\KindFilter;
use Uplandia\Core\Assembly\Filter\PoolFilter;
use Uplandia\Core\Assembly\Filter\TagFilter;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Question\QuestionSet;

/**
 * How many questions each value of each filter would leave, with all the other filters as they are chosen. Worked out
 * from sets, so that it costs about the same whatever is chosen, and one reading of what the candidate has met.
 */
final readonly class Facets
{
    public function __construct(private Bank $bank, private QuestionSets $sets)
    {
    }

    /** @throws Refusal for a topic that the exam does not have */
    public function of(Candidacy $candidacy, Recipe $recipe): FacetsView
    {
        $selection = $this->bank->selection($candidacy, $recipe->filters);
        $values = $this->sets->of($candidacy->exam->id);
        $all = $values[QuestionSets::LIVE][''] ?? QuestionSet::none();
        $values[PoolFilter::FAMILY] = $selection->bank->pools();
        unset($values[QuestionSets::LIVE]);
        $counts = self::counts($all, $values, $recipe->filters->passing($selection->bank));
        $of = fn (string $family): array => array_filter($counts[$family] ?? []);
        $ours = [
            PoolFilter::FAMILY, DifficultyFilter::FAMILY, KindFilter::FAMILY, TagFilter::HOLDS, TagFilter::FOUND,
        ];

        return new FacetsView(
            pools: $counts[PoolFilter::FAMILY],
            difficulties: $of(DifficultyFilter::FAMILY),
            kinds: $of(KindFilter::FAMILY),
            holds: $of(TagFilter::HOLDS),
            found: $of(TagFilter::FOUND),
            tags: array_filter(array_map(
                array_filter(...),
                array_diff_key($counts, array_flip($ours)),
            )),
        );
    }

    /**
     * @param  array<string, array<string, QuestionSet>>  $values  by family
     * @param  array<string, QuestionSet>  $chosen  what passes the choices, by family
     * @return array<string, array<string, int>> each value's count among what passes the other families' choices
     */
    private static function counts(QuestionSet $all, array $values, array $chosen): array
    {
        $others = function (string $but) use ($all, $chosen): QuestionSet {
            foreach (array_diff_key($chosen, [$but => 0]) as $set) {
                $all = $all->and($set);
            }

            return $all;
        };
        $byAll = $others('');
        $counts = [];
        foreach ($values as $family => $sets) {
            $beside = isset($chosen[$family]) ? $others((string) $family) : $byAll;
            $counts[$family] = array_map(fn (QuestionSet $set): int => $beside->and($set)->count(), $sets);
        }

        return $counts;
    }
}
