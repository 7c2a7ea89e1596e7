<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Account\User;
use App\Question\Exam;
use App\Question\Syllabus;
use Illuminate\Database\Query\Builder;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Pool;
use Uplandia\Core\Assembly\Recipe;

/** How many questions each value of each filter would leave, with all the other filters as they are chosen. */
final readonly class Facets
{
    public function __construct(private Bank $bank)
    {
    }

    public function of(Exam $exam, User $user, Recipe $recipe): FacetsView
    {
        $filters = $recipe->filters;
        $selection = $this->bank->selection(
            exam: $exam,
            user: $user,
            filters: $filters,
            syllabus: Syllabus::of($exam),
        );
        $tags = $this->tags($selection, $filters);

        return new FacetsView(
            pools: $this->pools($selection->by($filters->without('pools'))),
            difficulties: $this->column($selection->by($filters->without('difficulties')), 'difficulty'),
            kinds: $this->column($selection->by($filters->without('kinds')), 'kind'),
            holds: $tags[Filters::HOLDS] ?? [],
            found: $tags[Filters::FOUND] ?? [],
            tags: array_diff_key($tags, [Filters::HOLDS => 0, Filters::FOUND => 0]),
        );
    }

    /** @return array<string, int> by pool */
    private function pools(Selection $selection): array
    {
        $met = $selection->isNarrow()
            ? $selection->besideStandings($selection->questions())
            : $selection->fromStandings($selection->questions());
        $met->groupBy('standings.outcome')->select('standings.outcome')->selectRaw('count(*) as n');
        $marks = [];
        foreach (Pool::cases() as $pool) {
            if ($pool !== Pool::NewToMe && $pool->outcome() === null) {
                $marks[] = $pool;
                $isIn = $selection->isIn($pool);
                $met->selectRaw("sum(case when {$isIn[0]} then 1 else 0 end) as {$pool->value}", $isIn[1]);
            }
        }
        $counts = array_fill_keys(array_column(Pool::cases(), 'value'), 0);
        $seen = 0;
        foreach ($met->get() as $row) {
            foreach (Pool::cases() as $pool) {
                if ($row->outcome !== null && $pool->outcome()?->value === $row->outcome) {
                    $counts[$pool->value] += (int) $row->n;
                    $seen += (int) $row->n;
                }
            }
            foreach ($marks as $pool) {
                $counts[$pool->value] += (int) $row->{$pool->value};
            }
        }
        $counts[Pool::NewToMe->value] = $this->bank->matching($selection) - $seen;

        return $counts;
    }

    /** @return array<string, int> by value of a column of questions */
    private function column(Selection $selection, string $column): array
    {
        $rows = $this->bank
            ->passing($selection)
            ->groupBy("questions.{$column}")
            ->selectRaw("questions.{$column} as value, count(*) as n")
            ->get();
        $counts = [];
        foreach ($rows as $row) {
            $counts[(string) $row->value] = (int) $row->n;
        }

        return $counts;
    }

    /** @return array<string, array<string, int>> by family and value */
    private function tags(Selection $selection, Filters $filters): array
    {
        $tags = $this->families($selection, null, array_keys($filters->tags));
        foreach (array_keys($filters->tags) as $family) {
            $others = $selection->by($filters->withTags(array_diff_key($filters->tags, [$family => 0])));
            $tags += $this->families($others, (string) $family, []);
        }
        ksort($tags);

        return $tags;
    }

    /**
     * @param  string|null  $only  this family; null: all but some
     * @param  list<int|string>  $but
     * @return array<string, array<string, int>>
     */
    private function families(Selection $selection, ?string $only, array $but): array
    {
        $rows = $this->bank
            ->passing($selection)
            ->join('question_tags', 'question_tags.question_id', '=', 'questions.id')
            ->when($only !== null, fn (Builder $one): Builder => $one->where('question_tags.family', $only))
            ->when($but !== [], fn (Builder $rest): Builder => $rest->whereNotIn('question_tags.family', $but))
            ->groupBy('question_tags.family', 'question_tags.value')
            ->orderBy('question_tags.value')
            ->select(['question_tags.family', 'question_tags.value'])
            ->selectRaw('count(*) as n')
            ->get();
        $tags = [];
        foreach ($rows as $row) {
            $tags[(string) $row->family][(string) $row->value] = (int) $row->n;
        }

        return $tags;
    }
}
