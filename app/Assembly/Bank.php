<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Clock\Moment;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\OwnStandings;
use App\Question\QuestionSets;
use App\Question\SyllabusTopic;
use App\Question\TextSearch;
use Closure;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use PDO;
use PDOStatement;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Pool as PoolName;
use Uplandia\Core\Assembly\Supply;
use Uplandia\Core\Question\QuestionSet;

/**
 * Counts and fetches questions of an exam as one candidate sees them, always in whole units: a question that stands
 * alone, or all of a case, passage set or series of which at least one passes. What is counted is what can be drawn. A
 * unit is filed under the topic of the first of its questions that passes.
 */
final readonly class Bank
{
    /** Unix seconds after every moment in which anything was seen. */
    public const NOW = 4_102_444_800;

    public function __construct(
        private TextSearch $search,
        private QuestionSets $sets,
        private ClockInterface $clock,
    ) {
    }

    /**
     * Questions met so far, by subtopic and latest outcome. Costs what the candidate has met, not what the bank holds.
     *
     * @return array<int, array<string, int>> topic id => outcome or "flagged" => count; what was only marked is "new"
     */
    public function met(Candidacy $candidacy): array
    {
        $of = fn (Builder $standings): Builder => $standings
            ->groupBy('standings.topic_id', 'standings.outcome')
            ->selectRaw(
                'standings.topic_id as topic, standings.outcome, count(*) as n, sum(standings.flagged) as flagged',
            );
        $rows = $of(OwnStandings::of($candidacy))
            ->selectRaw('1 as sign')
            ->unionAll($of(OwnStandings::ofRetired($candidacy))->selectRaw('-1 as sign'));
        $met = [];
        foreach ($rows->get() as $row) {
            foreach ([$row->outcome ?? 'new' => (int) $row->n, 'flagged' => (int) $row->flagged] as $what => $n) {
                $met[(int) $row->topic][$what] = ($met[(int) $row->topic][$what] ?? 0) + (int) $row->sign * $n;
            }
        }

        return $met;
    }

    /** How many questions there are, and what came of those that the candidate has met. */
    public function counts(Candidacy $candidacy): CountsView
    {
        $met = [];
        foreach ($this->met($candidacy) as $ofTopic) {
            foreach ($ofTopic as $outcome => $n) {
                $met[$outcome] = ($met[$outcome] ?? 0) + $n;
            }
        }

        $topics = $candidacy->syllabus()->all();

        $all = array_sum(array_map(fn (SyllabusTopic $topic): int => $topic->questions, $topics));

        return CountsView::of($all, $met);
    }

    /** @throws Refusal for a topic that the exam does not have */
    public function selection(Candidacy $candidacy, Filters $filters): Selection
    {
        [$enrolment, $today] = [$candidacy->enrolment(), $candidacy->today($this->clock)];

        return new Selection(
            search: $this->search,
            exam: $candidacy->exam->id,
            user: $candidacy->user->id,
            filters: $filters,
            syllabus: $candidacy->syllabus(),
            dueUntil: $enrolment->allIsDueOn($today) ? null : $today,
        );
    }

    /**
     * What a selection has to give, by topic. Nothing is fetched of the questions themselves.
     *
     * @return array<int, Supply> by topic id, in the order of the blueprint
     */
    public function supplies(Selection $selection): array
    {
        $units = [];
        $few = $selection->isNarrow();
        foreach ($few ? [] : $this->singles($selection) as $topic => $n) {
            $units[$topic][1] = $n;
        }
        foreach ($few ? $this->narrowBySize($selection) : $this->filedBySize($selection) as [$topic, $size, $n]) {
            $units[$topic][$size] = ($units[$topic][$size] ?? 0) + $n;
        }
        $supplies = [];
        foreach (array_keys($selection->topics()) as $topic) {
            if (isset($units[$topic])) {
                $supplies[$topic] = new Supply($units[$topic]);
            }
        }

        return $supplies;
    }

    /** How many questions a selection has to give in all. */
    public function available(Selection $selection): int
    {
        return array_sum(array_column($this->supplies($selection), 'total'));
    }

    /**
     * The units themselves, for drawing, as columns: a pool may hold the whole bank.
     *
     * @param  list<int>  $asked  questions that a test of the candidate is asking now: as good as seen this moment, so
     *   they come last
     * @return array<int, Pool> by topic id
     */
    public function pools(Selection $selection, array $asked = []): array
    {
        $pools = $this->alone($selection, $asked);
        $now = $asked === [] ? [] : $this->unitsOf($asked);
        foreach ($this->filed($selection) as $unit => [$topic, $size, $seenMs]) {
            $seen = isset($now[$unit]) ? self::NOW : self::seconds($seenMs);
            ($pools[$topic] ??= new Pool())->add(-$unit, $size, $seen);
        }

        return $pools;
    }

    /**
     * @param  list<int>  $questions
     * @return array<int, int> units that they belong to, as keys
     */
    public function unitsOf(array $questions): array
    {
        return array_flip($this->column(
            DB::table('questions')->whereIntegerInRaw('id', $questions)->whereNotNull('unit_id')->select('unit_id'),
        ));
    }

    /**
     * The questions of drawn units, each unit whole and in order.
     *
     * @param  list<int>  $keys  of units, as their pools have them
     * @return list<list<int>> question ids, in the order of the keys
     */
    public function questions(array $keys): array
    {
        $units = array_map(abs(...), array_filter($keys, fn (int $key): bool => $key < 0));
        $whole = [];
        foreach (array_chunk($units, 500) as $chunk) {
            $rows = DB::table('questions')
                ->whereIn('unit_id', $chunk)
                ->whereNull('retired_at')
                ->orderBy('unit_id')
                ->orderBy('unit_place')
                ->get(['id', 'unit_id']);
            foreach ($rows as $row) {
                $whole[(int) $row->unit_id][] = (int) $row->id;
            }
        }

        return array_map(fn (int $key): array => $key > 0 ? [$key] : $whole[-$key] ?? [], $keys);
    }

    /**
     * What the candidate has to do with questions, pool by pool, whatever the filters say.
     *
     * @param  QuestionSet  $all  the questions that are asked about
     * @return array<string, QuestionSet> by pool
     */
    public function sets(Selection $selection, QuestionSet $all): array
    {
        $pools = PoolName::cases();
        $when = function (int $i) use ($selection, $pools): array {
            [$sql, $bindings] = $selection->isIn($pools[$i]);

            return ["when {$sql} then ".(1 << $i), $bindings];
        };
        // The ways one can stand to a question are few: rows come grouped by the pools it is in, one bit each.
        [$states, $marks] = [[], []];
        foreach ($pools as $i => $pool) {
            if ($pool === PoolName::NewToMe || $pool->outcome() !== null) {
                $states[] = $when($i);
            } else {
                $marks[] = $when($i);
            }
        }
        // What is in one of the states is in no other.
        $in = $selection->standings()->selectRaw(
            'case '.implode(' ', array_column($states, 0)).' else 0 end + '.
                implode(' + ', array_map(fn (array $mark): string => "case {$mark[0]} else 0 end", $marks)).' as pools',
            array_merge([], ...array_column($states, 1), ...array_column($marks, 1)),
        );
        $sets = array_fill_keys(array_column($pools, 'value'), QuestionSet::none());
        $met = QuestionSet::none();
        foreach ($this->grouped($in->addSelect('standings.question_id')) as $bits => $ids) {
            $set = QuestionSet::of($ids);
            $isIn = array_filter($pools, fn (int $i): bool => ($bits >> $i & 1) === 1, ARRAY_FILTER_USE_KEY);
            foreach ($isIn as $pool) {
                $sets[$pool->value] = $sets[$pool->value]->or($set);
            }
            // What is only marked is still new.
            $met = in_array(PoolName::NewToMe, $isIn, true) ? $met : $met->or($set);
        }
        $sets[PoolName::NewToMe->value] = $all->without($met);

        return $sets;
    }

    /** @return list<int> questions that pass everything but the pools */
    public function ids(Selection $selection): array
    {
        return $this->column($selection->questions()->select('questions.id'));
    }

    /** Questions that pass, one by one. */
    public function passing(Selection $selection): Builder
    {
        return $this->inPools($selection, $selection->questions());
    }

    /** How many questions pass everything but the pools, one by one. */
    public function matching(Selection $selection): int
    {
        return $selection->isPlain()
            ? array_sum(array_column($selection->topics(), 'questions'))
            : $selection->questions()->count();
    }

    /**
     * How many questions pass, one by one.
     *
     * @return array<int, int> by topic id, in the order of the blueprint
     */
    public function passingByTopic(Selection $selection): array
    {
        if (! $selection->isKept()) {
            $counts = self::byTopic($this->passing($selection));
        } else {
            // What is new is everything less what was met.
            $counts = array_map(fn (SyllabusTopic $topic): int => $topic->questions, $selection->topics());
            $elsewhere = $selection->needsStandings()
                ? [1 => $selection->standings(), -1 => $selection->standingsOfRetired()]
                : [];
            foreach ($elsewhere as $sign => $standings) {
                foreach (self::metByTopic($selection->metElsewhere($standings)) as $topic => $n) {
                    $counts[$topic] -= $sign * $n;
                }
            }
        }

        return array_filter(array_replace(array_fill_keys(array_keys($selection->topics()), 0), $counts));
    }

    /**
     * Questions that stand alone, counted.
     *
     * @return array<int, int> topic id => count
     */
    private function singles(Selection $selection): array
    {
        $alone = fn (): Builder => $selection->questions()->whereNull('questions.unit_id');
        if (! $selection->needsStandings()) {
            return $selection->isPlain() ? self::kept($selection) : self::byTopic($alone());
        }
        if (! $selection->holdsNew()) {
            return $selection->isPlain()
                ? $this->metAlone($selection, $selection->inPools(...))
                : self::byTopic($this->inPools($selection, $alone()));
        }
        // What is new is everything less what was met: counted from what was met, not by looking each one up.
        $counts = $selection->isPlain() ? self::kept($selection) : self::byTopic($alone());
        $elsewhere = match (true) {
            $selection->isPlain() => $this->metAlone($selection, $selection->metElsewhere(...)),
            $selection->isNarrow() => self::byTopic(
                $selection->metElsewhere($selection->withStandings($alone())),
            ),
            default => self::byTopic($selection->metElsewhere($selection->fromStandings($alone()))),
        };
        foreach ($elsewhere as $topic => $n) {
            $counts[$topic] -= $n;
        }

        return array_filter($counts);
    }

    /** @return array<int, int> topic id => how many stand alone, as it is kept */
    private static function kept(Selection $selection): array
    {
        return array_filter(array_map(fn (SyllabusTopic $topic): int => $topic->alone, $selection->topics()));
    }

    /**
     * Live questions that stand alone and were met, by topic: all that were met, which one index tells, less the few
     * that are retired or belong to a unit.
     *
     * @param  Closure(Builder): Builder  $narrow  to pools
     * @return array<int, int> topic id => count
     */
    private function metAlone(Selection $selection, Closure $narrow): array
    {
        $counts = self::metByTopic($narrow($selection->standings()));
        foreach ($selection->standingsOfOthers() as $others) {
            foreach (self::metByTopic($narrow($others)) as $topic => $n) {
                $counts[$topic] -= $n;
            }
        }

        return array_filter($counts);
    }

    /** @return array<int, int> topic id => how many standings */
    private static function metByTopic(Builder $standings): array
    {
        $rows = $standings
            ->groupBy('standings.topic_id')
            ->selectRaw('standings.topic_id as topic, count(*) as n')
            ->get();
        $counts = [];
        foreach ($rows as $row) {
            $counts[(int) $row->topic] = (int) $row->n;
        }

        return $counts;
    }

    /**
     * Questions that stand alone, for drawing. Of the bank as little as can be is read, and of standings what was met.
     *
     * @param  list<int>  $asked  questions that are being asked now
     * @return array<int, Pool> by topic id
     */
    private function alone(Selection $selection, array $asked): array
    {
        $inPools = $selection->needsStandings() && ! $selection->holdsNew();
        $seen = array_fill_keys($asked, self::NOW) + $this->seen($selection);
        $elsewhere = $selection->needsStandings() && ! $inPools
            ? array_flip($this->column($selection->metElsewhere($selection->standings())->select('question_id')))
            : [];
        $pools = [];
        foreach ($this->aloneByTopic($selection, $inPools) as $topic => $all) {
            $ids = $elsewhere === [] ? $all : [];
            foreach ($elsewhere === [] ? [] : $all as $id) {
                if (! isset($elsewhere[$id])) {
                    $ids[] = $id;
                }
            }
            if ($ids !== []) {
                $pools[$topic] = Pool::alone($ids, $seen);
            }
        }

        return $pools;
    }

    /**
     * @param  bool  $inPools  whether only what is in the selection's pools is asked for
     * @return array<int, list<int>> topic id => ids, ascending, so that the same seed draws the same
     */
    private function aloneByTopic(Selection $selection, bool $inPools): array
    {
        if ($selection->isPlain() && ! $inPools) {
            return $this->sets->byTopic($selection->exam, QuestionSets::ALONE, array_keys($selection->topics()));
        }
        $alone = $selection->questions()->whereNull('questions.unit_id');
        $query = $inPools ? $this->inPools($selection, $alone) : $alone;

        return array_map(function (array $ids): array {
            sort($ids);

            return $ids;
        }, $this->grouped($query->select(['questions.topic_id', 'questions.id'])));
    }

    /** @return array<int, int|null> question id => Unix seconds when the candidate last saw it */
    private function seen(Selection $selection): array
    {
        // What is new was never seen.
        if ($selection->wantsNewOnly()) {
            return [];
        }
        $statement = $this->execute($selection->standings()->select('question_id')->selectRaw('seen_ms / 1000'));

        return $statement->fetchAll(PDO::FETCH_KEY_PAIR);
    }

    /**
     * Cases, passage sets and series of which at least one question passes, counted by the topic they are filed under
     * and their size.
     *
     * @return iterable<array{int, int, int}> topic id, questions of each, how many
     */
    private function filedBySize(Selection $selection): iterable
    {
        $passing = $this->inPools($selection, $this->inUnits($selection), standings: $selection->needsStandings())
            ->select(['questions.topic_id', 'units.questions'])
            ->selectRaw('row_number() over (partition by questions.unit_id order by questions.unit_place) as place');
        $first = DB::query()
            ->fromSub($passing, 'passing')
            ->whereRaw('place = 1')
            ->groupBy('topic_id', 'questions')
            ->selectRaw('topic_id, questions, count(*)');
        foreach ($this->rows($first) as [$topic, $size, $n]) {
            yield [(int) $topic, (int) $size, (int) $n];
        }
    }

    /**
     * All that passes, alone or in units, by topic and size: where finding what passes costs more than counting it, it
     * is done once.
     *
     * @return iterable<array{int, int, int}> topic id, questions of each, how many
     */
    private function narrowBySize(Selection $selection): iterable
    {
        $rows = $this->inPools($selection, $selection->questions())
            ->groupBy('questions.topic_id', 'questions.unit_id')
            ->selectRaw('questions.topic_id, questions.unit_id, min(questions.unit_place), count(*)');
        $first = [];
        foreach ($this->rows($rows) as [$topic, $unit, $place, $n]) {
            if ($unit === null) {
                yield [(int) $topic, 1, (int) $n];
            } elseif (! isset($first[$unit]) || $place < $first[$unit][0]) {
                $first[$unit] = [(int) $place, (int) $topic];
            }
        }
        foreach (array_chunk(array_keys($first), 500) as $chunk) {
            foreach (DB::table('units')->whereIn('id', $chunk)->pluck('questions', 'id') as $unit => $size) {
                yield [$first[$unit][1], (int) $size, 1];
            }
        }
    }

    /**
     * The same one by one, for drawing.
     *
     * @return array<int, array{int, int, int|string|null}> unit id => topic it is filed under, size, latest moment any
     *   of the questions that pass was seen
     */
    private function filed(Selection $selection): array
    {
        $query = $this->inPools($selection, $this->inUnits($selection), standings: true)
            ->orderBy('questions.unit_id')
            ->orderBy('questions.unit_place')
            ->select(['questions.unit_id', 'questions.topic_id', 'units.questions', 'standings.seen_ms']);
        $filed = [];
        foreach ($this->rows($query) as [$unit, $topic, $size, $seenMs]) {
            $filed[(int) $unit] ??= [(int) $topic, (int) $size, null];
            $filed[(int) $unit][2] = max($filed[(int) $unit][2], $seenMs);
        }

        return $filed;
    }

    private function inUnits(Selection $selection): Builder
    {
        return $selection
            ->questions()
            ->whereNotNull('questions.unit_id')
            ->join('units', 'units.id', '=', 'questions.unit_id');
    }

    /** @param  bool  $standings  whether they are looked up for each question: of units there are few */
    private function inPools(Selection $selection, Builder $query, bool $standings = false): Builder
    {
        if (! $selection->needsStandings()) {
            return $standings ? $selection->withStandings($query) : $query;
        }

        return $selection->inPools(match (true) {
            $selection->holdsNew() => $selection->withStandings($query),
            $standings || $selection->isNarrow() => $selection->besideStandings($query),
            default => $selection->fromStandings($query),
        });
    }

    private static function seconds(mixed $ms): ?int
    {
        return $ms === null ? null : intdiv((int) $ms, 1000);
    }

    /**
     * Rows as lists, read as they come.
     *
     * @return iterable<list<int|string|null>>
     */
    private function rows(Builder $query): iterable
    {
        $statement = $this->execute($query);
        while (is_array($row = $statement->fetch(PDO::FETCH_NUM))) {
            yield $row;
        }
    }

    /** @return list<int> the first column */
    private function column(Builder $query): array
    {
        /** @var list<int> $values */
        $values = $this->execute($query)->fetchAll(PDO::FETCH_COLUMN);

        return $values;
    }

    /** @return array<int, list<int>> the second column by the first */
    private function grouped(Builder $query): array
    {
        return $this->execute($query)->fetchAll(PDO::FETCH_GROUP | PDO::FETCH_COLUMN);
    }

    /** Past Eloquent and its objects: a pool may hold the whole bank. */
    private function execute(Builder $query): PDOStatement
    {
        $from = microtime(true);
        $connection = DB::connection();
        $bindings = $connection->prepareBindings($query->getBindings());
        $statement = $connection->getReadPdo()->prepare($query->toSql());
        $statement->execute($bindings);
        $connection->logQuery($query->toSql(), $bindings, 1000 * (microtime(true) - $from));

        return $statement;
    }

    /** @return array<int, int> */
    private static function byTopic(Builder $query): array
    {
        $rows = $query->groupBy('questions.topic_id')->selectRaw('questions.topic_id as topic, count(*) as n')->get();
        $counts = [];
        foreach ($rows as $row) {
            $counts[(int) $row->topic] = (int) $row->n;
        }

        return $counts;
    }
}
