<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Database\Columns;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\OwnStandings;
use App\Question\QuestionSets;
use App\Question\SyllabusTopic;
use App\Question\TextSearch;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Assembly\Filter\KindFilter;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Supply;
use Uplandia\Core\Question\Kind;

/**
 * Counts and gives questions of an exam as one candidate sees them. What passes some filters is a set; what can be
 * drawn of it comes in whole units: a question that stands alone, or all of a case, passage set or series of which at
 * least one passes. A unit is filed under the topic of the first of its questions that passes.
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

        return CountsView::of(
            array_sum(array_map(fn (SyllabusTopic $topic): int => $topic->questions, $topics)),
            $met,
        );
    }

    /**
     * How many of some questions a test could ask that adapts: those that stand alone, and one of each unit, of topics
     * that weigh anything. Written answers are marked by the candidate afterwards, so nothing could go by them.
     */
    public function reach(Selection $selection): int
    {
        $written = $selection->bank->having(KindFilter::FAMILY, [Kind::Written->value]);
        $weighs = $selection->weighing();
        $passing = $selection->passing()->without($written);
        /** @param  list<int>  $ids */
        $askable = fn (array $ids): array => $passing->among(array_values($ids));
        $alone = array_map(count(...), array_map($askable, array_intersect_key($selection->alone(), $weighs)));
        $together = array_filter(
            $selection->together(),
            fn (array $unit): bool => $askable(array_keys(array_intersect_key($unit[3], $weighs))) !== [],
        );

        return array_sum($alone) + count($together);
    }

    public function selection(Candidacy $candidacy, Filters $filters): Selection
    {
        return new Selection(
            bank: new OwnBank(
                sets: $this->sets,
                search: $this->search,
                isIn: OwnPools::of($candidacy, $this->clock),
                candidacy: $candidacy,
            ),
            filters: $filters,
        );
    }

    /**
     * What a selection has to give, by topic, in whole units.
     *
     * @return array<int, Supply> by topic id, in the order of the blueprint
     *
     * @throws Refusal for a topic that the exam does not have
     */
    public function supplies(Selection $selection): array
    {
        $units = array_map(fn (array $ids): array => [1 => count($ids)], $selection->alone());
        foreach ($selection->together() as [$topic, $size]) {
            $units[$topic][$size] = ($units[$topic][$size] ?? 0) + 1;
        }
        $supplies = [];
        foreach (array_keys($selection->topics()) as $topic) {
            if (isset($units[$topic])) {
                $supplies[$topic] = new Supply(array_filter($units[$topic]));
            }
        }

        return $supplies;
    }

    /** How many questions a selection has to give in all, in whole units. */
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
     *
     * @throws Refusal for a topic that the exam does not have
     */
    public function pools(Selection $selection, array $asked = []): array
    {
        $seen = array_fill_keys($asked, self::NOW) + $selection->bank->seen();
        $pools = array_map(fn (array $ids): Pool => Pool::alone($ids, $seen), $selection->alone());
        foreach ($this->units($selection, $seen) as $unit => [$topic, $size, $moment]) {
            ($pools[$topic] ??= new Pool())->add(-$unit, $size, $moment);
        }

        return $pools;
    }

    /**
     * How many questions pass, one by one.
     *
     * @return array<int, int> by topic id, in the order of the blueprint; a topic of none is left out
     *
     * @throws Refusal for a topic that the exam does not have
     */
    public function byTopic(Selection $selection): array
    {
        $counts = array_map(count(...), $selection->alone());
        foreach ($selection->together() as [, , $ids, $whole]) {
            foreach ($ids as $id) {
                $counts[$whole[$id]] = ($counts[$whole[$id]] ?? 0) + 1;
            }
        }

        $inOrder = [];
        foreach (array_keys(array_intersect_key($selection->topics(), $counts)) as $topic) {
            $inOrder[$topic] = $counts[$topic];
        }

        return $inOrder;
    }

    /**
     * The questions that pass, one by one.
     *
     * @return array<int, list<int>> topic id => ids, ascending; in the order of the blueprint, without empty ones
     *
     * @throws Refusal for a topic that the exam does not have
     */
    public function passingByTopic(Selection $selection): array
    {
        $passing = $selection->alone();
        foreach ($selection->together() as [, , $ids, $whole]) {
            foreach ($ids as $id) {
                $passing[$whole[$id]][] = $id;
            }
        }
        $inOrder = [];
        foreach (array_keys(array_intersect_key($selection->topics(), $passing)) as $topic) {
            $inOrder[$topic] = $passing[$topic];
            sort($inOrder[$topic]);
        }

        return array_filter($inOrder);
    }

    /**
     * Cases, passage sets and series of which at least one question passes.
     *
     * @param  array<int, int|null>  $seen  question id => Unix seconds when it was last seen
     * @return array<int, array{int, int, int|null}> unit id, ascending => topic it is filed under, size, and when any
     *   of it that passes was last seen; what is asked now counts whether it passes or not
     */
    public function units(Selection $selection, array $seen): array
    {
        $units = [];
        foreach ($selection->together() as $unit => [$topic, $size, $passing, $whole]) {
            $latest = null;
            foreach (array_keys($whole) as $id) {
                $moment = $seen[$id] ?? null;
                if ($moment !== null && ($moment === self::NOW || in_array($id, $passing, true))) {
                    $latest = max($latest, $moment);
                }
            }
            $units[$unit] = [$topic, $size, $latest];
        }

        return $units;
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
}
