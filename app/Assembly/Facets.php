<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Question\Candidacy;
use App\Question\QuestionSets;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Question\QuestionSet;

/**
 * How many questions each value of each filter would leave, with all the other filters as they are chosen. Worked out
 * from sets, so that it costs about the same whatever is chosen, and one reading of what the candidate has met.
 */
final readonly class Facets
{
    private const POOLS = '_pools';

    public function __construct(private Bank $bank, private QuestionSets $sets)
    {
    }

    public function of(Candidacy $candidacy, Recipe $recipe): FacetsView
    {
        $filters = $recipe->filters;
        $selection = $this->bank->selection(
            candidacy: $candidacy,
            filters: $filters,
        );
        $values = $this->sets->of($candidacy->exam->id);
        $all = $this->reach($selection, $filters, $values[QuestionSets::LIVE][''] ?? QuestionSet::none());
        $values[self::POOLS] = $this->bank->sets($selection, $all);
        unset($values[QuestionSets::LIVE]);
        $counts = self::counts($all, $values, self::chosen($filters));
        $of = fn (string $family): array => array_filter($counts[$family] ?? []);
        $ours = [
            self::POOLS, QuestionSets::DIFFICULTY, QuestionSets::KIND, Filters::HOLDS, Filters::FOUND,
        ];

        return new FacetsView(
            pools: $counts[self::POOLS],
            difficulties: $of(QuestionSets::DIFFICULTY),
            kinds: $of(QuestionSets::KIND),
            holds: $of(Filters::HOLDS),
            found: $of(Filters::FOUND),
            tags: array_filter(array_map(
                array_filter(...),
                array_diff_key($counts, array_flip($ours)),
            )),
        );
    }

    /** What passes all that no value is counted of: topics, words, picks. */
    private function reach(Selection $selection, Filters $filters, QuestionSet $live): QuestionSet
    {
        $rest = $selection->by(new Filters(
            topics: $filters->topics,
            tags: array_intersect_key($filters->tags, [Filters::READS => 0]),
            words: $filters->words,
            only: $filters->only,
        ));

        return match (true) {
            ! $rest->isPlain() => QuestionSet::of($this->bank->ids($rest)),
            $filters->topics === null => $live,
            default => QuestionSet::of(array_merge([], ...array_values(
                $this->sets->byTopic($selection->exam, QuestionSets::TOPIC, array_keys($rest->topics())),
            ))),
        };
    }

    /** @return array<string, list<string>> family => values, of the filters in use */
    private static function chosen(Filters $filters): array
    {
        return array_filter([
            self::POOLS => array_column($filters->pools, 'value'),
            QuestionSets::DIFFICULTY => array_column($filters->difficulties, 'value'),
            QuestionSets::KIND => array_column($filters->kinds, 'value'),
        ] + array_diff_key($filters->tags, [Filters::READS => 0]));
    }

    /**
     * @param  array<string, array<string, QuestionSet>>  $values  by family
     * @param  array<string, list<string>>  $chosen
     * @return array<string, array<string, int>> each value's count among what passes the other families' choices
     */
    private static function counts(QuestionSet $all, array $values, array $chosen): array
    {
        $passing = [];
        foreach ($chosen as $family => $names) {
            $passing[$family] = QuestionSet::any(array_intersect_key($values[$family] ?? [], array_flip($names)));
        }
        $others = function (string $but) use ($all, $passing): QuestionSet {
            foreach (array_diff_key($passing, [$but => 0]) as $set) {
                $all = $all->and($set);
            }

            return $all;
        };
        $byAll = $others('');
        $counts = [];
        foreach ($values as $family => $sets) {
            $beside = isset($passing[$family]) ? $others((string) $family) : $byAll;
            $counts[$family] = array_map(fn (QuestionSet $set): int => $beside->and($set)->count(), $sets);
        }

        return $counts;
    }
}
