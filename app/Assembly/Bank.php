<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Account\User;
use App\Question\Exam;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use PDO;
use Uplandia\Core\Assembly\Unit;

/** Counts and fetches questions of an exam as one candidate sees them. SQL narrows; the core decides. */
final readonly class Bank
{
    public function __construct(private Exam $exam, private User $user)
    {
    }

    /**
     * Live questions by subtopic.
     *
     * @return array<int, int> topic id => count
     */
    public function all(): array
    {
        return $this->counts($this->live());
    }

    /**
     * Questions met so far, by subtopic and latest outcome. Costs what the candidate has met, not what the bank holds:
     * everything from one index, less the few that have been retired since.
     *
     * @return array<int, array<string, int>> topic id => outcome or "flagged" => count
     */
    public function met(): array
    {
        $met = [];
        $standings = DB::table('standings')->where('standings.user_id', $this->user->id)->where('standings.exam_id', $this->exam->id);
        $retired = (clone $standings)->whereIn('standings.question_id', $this->retired());
        foreach ([[1, $standings], [-1, $retired]] as [$sign, $query]) {
            $rows = $query->groupBy('standings.topic_id', 'standings.outcome')
                ->selectRaw('standings.topic_id as topic, standings.outcome as outcome, count(*) as n, sum(standings.flagged) as flagged')->get();
            foreach ($rows as $row) {
                foreach ([$row->outcome ?? 'new' => (int) $row->n, 'flagged' => (int) $row->flagged] as $what => $n) {
                    $met[(int) $row->topic][$what] = ($met[(int) $row->topic][$what] ?? 0) + $sign * $n;
                }
            }
        }

        return $met;
    }

    /**
     * Questions in any of the pools, by subtopic.
     *
     * @param  list<int>  $topics
     * @param  list<Pool>  $pools
     * @return array<int, int> topic id => count
     */
    public function available(array $topics, array $pools): array
    {
        if (! in_array(Pool::NewToMe, $pools, true)) {
            return $this->counts($this->inPools($topics, $pools));
        }
        // What is new is everything less what was met: counted from what was met, not from the bank.
        $counts = $this->counts($this->live()->whereIn('questions.topic_id', $topics));
        $left = DB::table('standings')->where('user_id', $this->user->id)->where('exam_id', $this->exam->id)->whereIn('topic_id', $topics)
            ->whereNotNull('outcome')->whereNotIn('outcome', $this->outcomes($pools))
            ->when(in_array(Pool::Flagged, $pools, true), fn (Builder $query): Builder => $query->where('flagged', false))
            ->whereNotIn('question_id', $this->retired());
        foreach ($left->groupBy('topic_id')->selectRaw('topic_id as topic, count(*) as n')->pluck('n', 'topic') as $topic => $n) {
            $counts[(int) $topic] = ($counts[(int) $topic] ?? 0) - (is_numeric($n) ? (int) $n : 0);
        }

        return array_filter($counts);
    }

    /**
     * @param  list<Pool>  $pools
     * @return list<string>
     */
    private function outcomes(array $pools): array
    {
        return array_values(array_filter(array_map(fn (Pool $pool) => $pool->outcome(), $pools)));
    }

    private function retired(): Builder
    {
        return DB::table('questions')->select('id')->where('exam_id', $this->exam->id)->whereNotNull('retired_at');
    }

    /**
     * What can be drawn of some subtopics: questions that stand alone, and whole cases, passage sets and series of which at
     * least one question is in the pools.
     *
     * @param  list<int>  $topics
     * @param  list<Pool>  $pools
     * @return array<int, list<Unit>> topic id => units, in order of id
     */
    public function units(array $topics, array $pools): array
    {
        $query = $this->inPools($topics, $pools);
        if ($pools === []) {
            $this->joinStandings($query);
        }
        $units = $together = [];
        foreach ($this->rows($query->orderBy('questions.id')->select(['questions.id', 'questions.topic_id', 'questions.unit_id', 'standings.seen_ms'])) as [$id, $topic, $unit, $seenMs]) {
            $seen = $seenMs === null ? null : intdiv((int) $seenMs, 1000);
            if ($unit === null) {
                $units[(int) $topic][] = new Unit([(int) $id], $seen);
            } else {
                // A case may reach over several subtopics: it is filed under the first of them that was asked for.
                $together[(int) $unit] ??= ['topic' => (int) $topic, 'seen' => null];
                $together[(int) $unit]['seen'] = max($together[(int) $unit]['seen'], $seen);
            }
        }
        $whole = $this->whole(array_keys($together));
        foreach ($together as $unit => ['topic' => $topic, 'seen' => $seen]) {
            $units[$topic][] = new Unit($whole[$unit], $seen);
        }

        return $units;
    }

    /**
     * All live questions of some cases, passage sets and series, in order.
     *
     * @param  list<int>  $units
     * @return array<int, list<int>> question ids by unit
     */
    private function whole(array $units): array
    {
        $whole = [];
        foreach (array_chunk($units, 5000) as $chunk) {
            foreach (DB::table('questions')->whereIn('unit_id', $chunk)->whereNull('retired_at')->orderBy('unit_id')->orderBy('unit_place')->get(['id', 'unit_id']) as $row) {
                $whole[(int) $row->unit_id][] = (int) $row->id;
            }
        }

        return $whole;
    }

    /**
     * Rows as lists: a pool may hold the whole bank, and 100,000 objects cost twice as much as 100,000 lists.
     *
     * @return iterable<list<int|string|null>>
     */
    private function rows(Builder $query): iterable
    {
        $statement = DB::connection()->getReadPdo()->prepare($query->toSql());
        $statement->execute($query->getBindings());
        while (is_array($row = $statement->fetch(PDO::FETCH_NUM))) {
            yield $row;
        }
    }

    private function live(): Builder
    {
        return DB::table('questions')->where('questions.exam_id', $this->exam->id)->whereNull('questions.retired_at');
    }

    /**
     * @param  list<int>  $topics
     * @param  list<Pool>  $pools
     */
    private function inPools(array $topics, array $pools): Builder
    {
        $query = $this->live()->whereIn('questions.topic_id', $topics);
        if ($pools === []) {
            return $query;
        }

        // Without the new ones only what the candidate has met can count, so the search begins there.
        $query = in_array(Pool::NewToMe, $pools, true) ? $this->joinStandings($query) : $this->fromStandings($query);

        return $query->where(function (Builder $any) use ($pools): void {
            $outcomes = $this->outcomes($pools);
            if ($outcomes !== []) {
                $any->orWhereIn('standings.outcome', $outcomes);
            }
            if (in_array(Pool::NewToMe, $pools, true)) {
                $any->orWhereNull('standings.outcome');
            }
            if (in_array(Pool::Flagged, $pools, true)) {
                $any->orWhere('standings.flagged', true);
            }
        });
    }

    private function fromStandings(Builder $query): Builder
    {
        return $query->join('standings', fn ($join) => $join->on('standings.question_id', '=', 'questions.id')->where('standings.user_id', $this->user->id)->where('standings.exam_id', $this->exam->id));
    }

    private function joinStandings(Builder $query): Builder
    {
        return $query->leftJoin('standings', fn ($join) => $join->on('standings.question_id', '=', 'questions.id')->where('standings.user_id', $this->user->id));
    }

    /** @return array<int, int> */
    private function counts(Builder $query): array
    {
        /** @var array<int, int> $counts */
        $counts = $query->groupBy('questions.topic_id')->selectRaw('questions.topic_id as topic, count(*) as n')->pluck('n', 'topic')->map(fn (mixed $n): int => is_numeric($n) ? (int) $n : 0)->all();

        return $counts;
    }
}
