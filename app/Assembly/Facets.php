<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Account\User;
use App\Question\Exam;
use App\Question\Syllabus;
use App\Question\Tallies;
use Closure;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;
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
        $without = fn (string $name): Selection => $selection->by($filters->without($name));
        // Where neither is chosen, both are told by the same questions.
        [$difficulties, $kinds] =
            $filters->difficulties === [] && $filters->kinds === []
                ? $this->columns($selection, ['difficulty', 'kind'])
                : [
                    ...$this->columns($without('difficulties'), ['difficulty']),
                    ...$this->columns($without('kinds'), ['kind']),
                ];
        $tags = $this->tags($selection, $filters);

        return new FacetsView(
            pools: $this->pools($without('pools')),
            difficulties: $difficulties,
            kinds: $kinds,
            holds: $tags[Filters::HOLDS] ?? [],
            found: $tags[Filters::FOUND] ?? [],
            tags: array_diff_key($tags, [Filters::HOLDS => 0, Filters::FOUND => 0]),
        );
    }

    /** @return array<string, int> by pool */
    private function pools(Selection $selection): array
    {
        $count = function (Builder $standings) use ($selection): array {
            $standings->groupBy('standings.outcome')->select('standings.outcome')->selectRaw('count(*) as n');
            foreach (self::marks() as $pool) {
                $isIn = $selection->isIn($pool);
                $standings->selectRaw("sum(case when {$isIn[0]} then 1 else 0 end) as {$pool->value}", $isIn[1]);
            }

            return $standings->get()->all();
        };
        $rows = match (true) {
            // All that was met, which one index tells, less what is retired.
            $selection->isPlain() => [
                [1, $count($selection->standings())],
                [-1, $count($selection->standingsOfRetired())],
            ],
            $selection->isNarrow() => [[1, $count($selection->besideStandings($selection->questions()))]],
            default => [[1, $count($selection->fromStandings($selection->questions()))]],
        };
        $counts = array_fill_keys(array_column(Pool::cases(), 'value'), 0);
        $seen = 0;
        foreach ($rows as [$sign, $met]) {
            foreach ($met as $row) {
                foreach (Pool::cases() as $pool) {
                    if ($row->outcome !== null && $pool->outcome()?->value === $row->outcome) {
                        $counts[$pool->value] += $sign * (int) $row->n;
                        $seen += $sign * (int) $row->n;
                    }
                }
                foreach (self::marks() as $pool) {
                    $counts[$pool->value] += $sign * (int) $row->{$pool->value};
                }
            }
        }
        $counts[Pool::NewToMe->value] = $this->bank->matching($selection) - $seen;

        return $counts;
    }

    /** @return list<Pool> those that are no outcomes */
    private static function marks(): array
    {
        return array_values(
            array_filter(Pool::cases(), fn (Pool $pool): bool => $pool !== Pool::NewToMe && $pool->outcome() === null),
        );
    }

    /**
     * @param  list<string>  $columns  of questions
     * @return list<array<string, int>> for each column, by its values
     */
    private function columns(Selection $selection, array $columns): array
    {
        $names = array_map(fn (string $column): string => "questions.{$column}", $columns);
        $rows = $this->counted(
            $selection,
            fn (Builder $questions): Builder => $questions
                ->groupBy($names)
                ->select($names)
                ->selectRaw('count(*) as n'),
        );
        $kept = $selection->isKept() ? $this->kept($selection) : [];
        $counts = [];
        foreach ($columns as $column) {
            $of = $kept["_{$column}"] ?? [];
            foreach ($rows as $row) {
                $of[(string) $row->{$column}] =
                    ($of[(string) $row->{$column}] ?? 0) + ($selection->isKept() ? -1 : 1) * (int) $row->n;
            }
            $counts[] = array_filter($of);
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
        $rows = $this->counted(
            $selection,
            fn (Builder $questions): Builder => $questions
                ->join('question_tags', 'question_tags.question_id', '=', 'questions.id')
                ->when($only !== null, fn (Builder $one): Builder => $one->where('question_tags.family', $only))
                ->when($but !== [], fn (Builder $rest): Builder => $rest->whereNotIn('question_tags.family', $but))
                ->groupBy('question_tags.family', 'question_tags.value')
                ->select(['question_tags.family', 'question_tags.value'])
                ->selectRaw('count(*) as n'),
        );
        $tags = $selection->isKept()
            ? array_diff_key(
                $only === null ? $this->kept($selection) : array_intersect_key($this->kept($selection), [$only => 0]),
                array_flip([...$but, Tallies::DIFFICULTY, Tallies::KIND]),
            )
            : [];
        foreach ($rows as $row) {
            [$family, $value] = [(string) $row->family, (string) $row->value];
            $before = $tags[$family][$value] ?? 0;
            $tags[$family][$value] = $before + ($selection->isKept() ? -1 : 1) * (int) $row->n;
        }
        foreach ($tags as $family => $values) {
            ksort($values);
            $tags[$family] = array_filter($values);
        }

        return array_filter($tags);
    }

    /**
     * What passes, grouped; or, where all that is new is wanted and the bank's own figures are kept, what was met and
     * does not pass, to be taken from them.
     *
     * @param  Closure(Builder): Builder  $grouped
     * @return iterable<stdClass>
     */
    private function counted(Selection $selection, Closure $grouped): iterable
    {
        if (! $selection->isKept()) {
            return $grouped($this->bank->passing($selection))->get();
        }

        return $selection->needsStandings()
            ? $grouped($selection->metElsewhere($selection->fromStandings($selection->questions())))->get()
            : [];
    }

    /** @return array<string, array<string, int>> by family and value, of all questions of the topics */
    private function kept(Selection $selection): array
    {
        $rows = DB::table('topic_values')
            ->whereIntegerInRaw('topic_id', array_keys($selection->topics()))
            ->groupBy('family', 'value')
            ->select(['family', 'value'])
            ->selectRaw('sum(questions) as n')
            ->get();
        $kept = [];
        foreach ($rows as $row) {
            $kept[(string) $row->family][(string) $row->value] = (int) $row->n;
        }

        return $kept;
    }
}
