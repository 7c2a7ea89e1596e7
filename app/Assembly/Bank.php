<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Account\User;
use App\Clock\Moment;
use App\Question\Enrolment;
use App\Question\Exam;
use App\Question\Syllabus;
use App\Question\TextSearch;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use PDO;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Supply;

/**
 * Counts and fetches questions of an exam as one candidate sees them, always in whole units: a question that stands
 * alone, or all of a case, passage set or series of which at least one passes. What is counted is what can be drawn. A
 * unit is filed under the topic of the first of its questions that passes.
 */
final readonly class Bank
{
    public function __construct(private TextSearch $search, private ClockInterface $clock)
    {
    }

    /**
     * Live questions by subtopic.
     *
     * @return array<int, int> topic id => count
     */
    public function all(Exam $exam): array
    {
        return self::byTopic(DB::table('questions')->where('questions.exam_id', $exam->id)->whereNull('retired_at'));
    }

    /**
     * Questions met so far, by subtopic and latest outcome. Costs what the candidate has met, not what the bank holds.
     *
     * @return array<int, array<string, int>> topic id => outcome or "flagged" => count; what was only marked is "new"
     */
    public function met(Exam $exam, User $user): array
    {
        $rows = DB::table('standings')
            ->where('standings.user_id', $user->id)
            ->where('standings.exam_id', $exam->id)
            ->whereNotIn(
                'standings.question_id',
                DB::table('questions')->select('id')->where('exam_id', $exam->id)->whereNotNull('retired_at'),
            )
            ->groupBy('standings.topic_id', 'standings.outcome')
            ->selectRaw(
                'standings.topic_id as topic, standings.outcome, count(*) as n, sum(standings.flagged) as flagged',
            )
            ->get();
        $met = [];
        foreach ($rows as $row) {
            foreach ([$row->outcome ?? 'new' => (int) $row->n, 'flagged' => (int) $row->flagged] as $what => $n) {
                $met[(int) $row->topic][$what] = ($met[(int) $row->topic][$what] ?? 0) + $n;
            }
        }

        return $met;
    }

    /**
     * What passes some filters, by topic. Nothing is fetched of the questions themselves.
     *
     * @param  list<int>  $heldBack  questions to leave out
     * @return array<int, Supply> by topic id, in the order of the blueprint
     */
    public function supplies(
        Exam $exam,
        User $user,
        Filters $filters,
        Syllabus $syllabus,
        array $heldBack = [],
    ): array {
        $selection = $this->selection(
            exam: $exam,
            user: $user,
            filters: $filters,
            syllabus: $syllabus,
            heldBack: $heldBack,
        );
        $units = [];
        foreach ($this->singles($selection) as $topic => $n) {
            $units[$topic][1] = $n;
        }
        foreach ($this->filed($selection) as [$topic, $size]) {
            $units[$topic][$size] = ($units[$topic][$size] ?? 0) + 1;
        }
        $supplies = [];
        foreach (array_merge([], ...$syllabus->chosen($filters->topics)) as $topic) {
            if (isset($units[$topic])) {
                $supplies[$topic] = new Supply($units[$topic]);
            }
        }

        return $supplies;
    }

    /**
     * The units themselves, for drawing, as columns: a pool may hold the whole bank.
     *
     * @param  list<int>  $heldBack  questions to leave out
     * @return array<int, Pool> by topic id
     */
    public function pools(
        Exam $exam,
        User $user,
        Filters $filters,
        Syllabus $syllabus,
        array $heldBack = [],
    ): array {
        $selection = $this->selection(
            exam: $exam,
            user: $user,
            filters: $filters,
            syllabus: $syllabus,
            heldBack: $heldBack,
        );
        $pools = [];
        $alone = $selection->questions()->whereNull('questions.unit_id')->orderBy('questions.id');
        foreach (
            $this->rows(
                $this->inPools($selection, $alone)->select([
                    'questions.id',
                    'questions.topic_id',
                    'standings.seen_ms',
                ]),
            ) as [$id, $topic, $seenMs]
        ) {
            ($pools[(int) $topic] ??= new Pool())->add((int) $id, 1, self::seconds($seenMs));
        }
        foreach ($this->filed($selection) as $unit => [$topic, $size, $seenMs]) {
            ($pools[$topic] ??= new Pool())->add(-$unit, $size, self::seconds($seenMs));
        }

        return $pools;
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

    /** @param  list<int>  $heldBack */
    private function selection(
        Exam $exam,
        User $user,
        Filters $filters,
        Syllabus $syllabus,
        array $heldBack,
    ): Selection {
        $today = ($enrolment = Enrolment::of($user->id, $exam->id))->dayOf(Moment::now($this->clock));

        return new Selection(
            search: $this->search,
            exam: $exam->id,
            user: $user->id,
            filters: $filters,
            topics: $filters->topics === null ? null : array_merge([], ...$syllabus->chosen($filters->topics)),
            heldBack: $heldBack,
            dueUntil: $enrolment->allIsDueOn($today) ? null : $today,
        );
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
            return self::byTopic($alone());
        }
        if (! $selection->holdsNew()) {
            return self::byTopic($selection->inPools($selection->fromStandings($alone())));
        }
        // What is new is everything less what was met: counted from what was met, not by looking each one up.
        $counts = self::byTopic($alone());
        foreach (self::byTopic($selection->metElsewhere($selection->fromStandings($alone()))) as $topic => $n) {
            $counts[$topic] -= $n;
        }

        return array_filter($counts);
    }

    /**
     * Cases, passage sets and series of which at least one question passes.
     *
     * @return array<int, array{int, int, int|string|null}> unit id => topic it is filed under, size, latest moment any
     *   of
     *                                                      the questions that pass was seen
     */
    private function filed(Selection $selection): array
    {
        $query = $selection
            ->questions()
            ->whereNotNull('questions.unit_id')
            ->join('units', 'units.id', '=', 'questions.unit_id')
            ->orderBy('questions.unit_id')
            ->orderBy('questions.unit_place');
        $columns = ['questions.unit_id', 'questions.topic_id', 'units.questions', 'standings.seen_ms'];
        $filed = [];
        foreach (
            $this->rows($this->inPools($selection, $query)->select($columns)) as [$unit, $topic, $size, $seenMs]
        ) {
            $filed[(int) $unit] ??= [(int) $topic, (int) $size, null];
            $filed[(int) $unit][2] = max($filed[(int) $unit][2], $seenMs);
        }

        return $filed;
    }

    private function inPools(Selection $selection, Builder $query): Builder
    {
        $begunInStandings = $selection->needsStandings() && ! $selection->holdsNew();

        return $selection->inPools(
            $begunInStandings ? $selection->fromStandings($query) : $selection->withStandings($query),
        );
    }

    private static function seconds(mixed $ms): ?int
    {
        return $ms === null ? null : intdiv((int) $ms, 1000);
    }

    /**
     * Rows as lists: a pool may hold the whole bank, and 100,000 objects cost twice as much as 100,000 lists.
     *
     * @return iterable<list<int|string|null>>
     */
    private function rows(Builder $query): iterable
    {
        $statement = DB::connection()->getReadPdo()->prepare($query->toSql());
        $statement->execute($query->getConnection()->prepareBindings($query->getBindings()));
        while (is_array($row = $statement->fetch(PDO::FETCH_NUM))) {
            yield $row;
        }
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
