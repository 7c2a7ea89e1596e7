<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Database\Columns;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\OwnStandings;
use App\Question\QuestionSets;
use App\Question\TextSearch;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Filter\BankSets;
use Uplandia\Core\Assembly\Pool as PoolName;
use Uplandia\Core\Assembly\SearchText;
use Uplandia\Core\Question\QuestionSet;

/** The bank of an exam as one candidate sees it, in sets and columns. What was read once is kept. */
final class OwnBank implements BankSets
{
    private ?QuestionSet $live = null;

    /** @var array<string, QuestionSet> by pool, as they were asked for */
    private array $pools = [];

    /** @var array<int, list<int>> topic id => ids of what stands alone, as they were asked for */
    private array $alone = [];

    /** @var array<int, array<int, int>>|null unit id => question id => topic id */
    private ?array $units = null;

    public function __construct(
        private readonly QuestionSets $sets,
        private readonly TextSearch $search,
        private readonly OwnPools $isIn,
        public readonly Candidacy $candidacy,
    ) {
    }

    public function live(): QuestionSet
    {
        return $this->live ??= $this->sets->anyOf($this->exam(), QuestionSets::LIVE, ['']);
    }

    public function having(string $family, array $values): QuestionSet
    {
        return $this->sets->anyOf($this->exam(), $family, $values);
    }

    /** @throws Refusal for a topic that the exam does not have */
    public function under(array $codes): QuestionSet
    {
        $topics = array_merge([], ...$this->candidacy->syllabus()->chosen($codes));

        return $this->sets->anyOf($this->exam(), QuestionSets::TOPIC, array_map(strval(...), $topics));
    }

    public function inAnyOf(array $pools): QuestionSet
    {
        return QuestionSet::any(array_map($this->inPool(...), $pools));
    }

    public function found(SearchText $text): QuestionSet
    {
        $found = DB::table('questions')->where('exam_id', $this->exam())->whereNull('retired_at')->select('id');

        return QuestionSet::of(Columns::first($this->search->narrow($found, 'questions.id', $text)));
    }

    /** @return array<string, QuestionSet> live questions by pool, each pool there is */
    public function pools(): array
    {
        $cases = PoolName::cases();
        // The ways one can stand to a question are few: rows come grouped by the pools it is in, one bit each.
        [$bits, $bindings] = [[], []];
        foreach ($cases as $i => $pool) {
            [$sql, $filled] = $this->isIn->isIn($pool);
            $bits[] = "case when {$sql} then ".(1 << $i).' else 0 end';
            array_push($bindings, ...$filled);
        }
        $rows = OwnStandings::of($this->candidacy)->selectRaw(implode(' + ', $bits).' as pools', $bindings);
        $sets = array_fill_keys(array_column($cases, 'value'), QuestionSet::none());
        $met = QuestionSet::none();
        foreach (Columns::grouped($rows->addSelect('standings.question_id')) as $pools => $ids) {
            $set = QuestionSet::of($ids)->and($this->live());
            $isIn = array_filter($cases, fn (int $i): bool => ($pools >> $i & 1) === 1, ARRAY_FILTER_USE_KEY);
            foreach ($isIn as $pool) {
                $sets[$pool->value] = $sets[$pool->value]->or($set);
            }
            // What is only marked is still new.
            $met = in_array(PoolName::NewToMe, $isIn, true) ? $met : $met->or($set);
        }
        $sets[PoolName::NewToMe->value] = $this->live()->without($met);

        return $this->pools = $sets;
    }

    /**
     * What stands alone.
     *
     * @param  list<int>  $topics  ids
     * @return array<int, list<int>> topic id => ids of questions, ascending
     */
    public function alone(array $topics): array
    {
        $missing = array_values(array_diff($topics, array_keys($this->alone)));
        $this->alone += $missing === []
            ? []
            : $this->sets->byTopic($this->exam(), $missing) + array_fill_keys($missing, []);

        return array_intersect_key($this->alone, array_flip($topics));
    }

    /** @return array<int, array<int, int>> unit id => id of each of its live questions, in order => topic id */
    public function units(): array
    {
        if ($this->units === null) {
            $this->units = [];
            $rows = DB::table('units')
                ->where('units.exam_id', $this->exam())
                ->crossJoin('questions')
                ->whereColumn('questions.unit_id', 'units.id')
                ->whereNull('questions.retired_at')
                ->orderBy('questions.unit_place')
                ->select(['units.id', 'questions.id', 'questions.topic_id']);
            foreach (Columns::rows($rows) as [$unit, $question, $topic]) {
                $this->units[(int) $unit][(int) $question] = (int) $topic;
            }
            // Always in the same order, so that the same seed draws the same.
            ksort($this->units);
        }

        return $this->units;
    }

    /** @return array<int, int|null> question id => Unix seconds when the candidate last saw it, of what was met */
    public function seen(): array
    {
        return Columns::pairs(
            OwnStandings::of($this->candidacy)->select('standings.question_id')->selectRaw('standings.seen_ms / 1000'),
        );
    }

    private function inPool(PoolName $pool): QuestionSet
    {
        return $this->pools[$pool->value] ??= $pool === PoolName::NewToMe
            ? $this->live()->without($this->of(OwnStandings::of($this->candidacy)->whereNotNull('standings.outcome')))
            : $this->of($this->isIn->narrow(OwnStandings::of($this->candidacy), [$pool]))->and($this->live());
    }

    private function of(Builder $standings): QuestionSet
    {
        return QuestionSet::of(Columns::first($standings->select('standings.question_id')));
    }

    private function exam(): int
    {
        return $this->candidacy->exam->id;
    }
}
