<?php

declare(strict_types=1);

namespace App\Cohort;

use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\SyllabusTopic;
use App\Sitting\KeyGate;
use Illuminate\Support\Facades\DB;
use stdClass;
use Uplandia\Core\Cohort\Cohort;

/**
 * Holds a candidate against all others of the exam: whole exams in all and by topic, and first looks at the very same
 * questions. Nothing is told of fewer than twenty. Source: computation.md, section 10.
 *
 * @phpstan-type Others array{n: int, mean: float, below: int, equal: int}
 * @phpstan-type Same array{n: int, mine: float, cohort: float}
 */
final readonly class CohortReader
{
    public function __construct(private CohortMarks $marks, private KeyGate $gate)
    {
    }

    public function of(Candidacy $candidacy): CohortView
    {
        $waiting = $this->gate->waiting($candidacy->user->id);
        $mine = $this->marks->mine($candidacy->exam, $candidacy->user->id);
        $mine = $mine === null || in_array($mine['sitting'], $waiting, true) ? null : $mine;
        $shares = $mine['shares'] ?? [];
        $whole = Cohort::ofScores(
            array_values(
                DB::table('cohort_marks')
                    ->where('exam_id', $candidacy->exam->id)
                    ->where('topic', CohortMarks::WHOLE)
                    ->where('user_id', '!=', $candidacy->user->id)
                    ->orderBy('share')
                    ->pluck('share')
                    ->map(floatval(...))
                    ->all(),
            ),
        );
        $shown = $whole->mayBeShown();
        $share = $shares[CohortMarks::WHOLE] ?? null;
        $others = $shown ? $this->others($candidacy, $shares) : [];
        $same = $this->same($candidacy);

        return new CohortView(
            takesPart: $candidacy->enrolment()->inCohort,
            n: $whole->size(),
            fewest: Cohort::SHOWN_FROM,
            sitting: $mine['sitting'] ?? null,
            share: $share,
            percentile: $shown && $share !== null ? $whole->percentile($share) : null,
            median: $shown ? $whole->median() : null,
            steps: $shown ? $whole->distribution() : [],
            topics: array_map(
                fn (SyllabusTopic $topic): CohortTopicView => self::topic(
                    topic: $topic,
                    mine: $shares[$topic->code] ?? null,
                    others: $others[$topic->code] ?? null,
                    same: $same[$topic->code] ?? null,
                ),
                $candidacy->syllabus()->tops(),
            ),
        );
    }

    /**
     * @param  Others|null  $others
     * @param  Same|null  $same
     */
    private static function topic(SyllabusTopic $topic, ?float $mine, ?array $others, ?array $same): CohortTopicView
    {
        $enough = $others !== null && $others['n'] >= Cohort::SHOWN_FROM;

        return new CohortTopicView(
            code: $topic->code,
            name: $topic->name,
            mine: $mine,
            others: $enough ? $others['mean'] : null,
            percentile: $enough && $mine !== null
                ? Cohort::place(below: $others['below'], equal: $others['equal'], n: $others['n'])
                : null,
            questions: $same['n'] ?? 0,
            mineSame: $same['mine'] ?? null,
            othersSame: $same['cohort'] ?? null,
        );
    }

    /**
     * @param  array<string, float>  $shares  one's own, by topic
     * @return array<string, Others> by topic
     */
    private function others(Candidacy $candidacy, array $shares): array
    {
        $mine = 'case topic';
        $bindings = [];
        foreach ($shares as $topic => $share) {
            $mine .= ' when ? then ?';
            array_push($bindings, (string) $topic, $share);
        }
        $mine = $bindings === [] ? 'null' : "{$mine} end";
        $rows = DB::table('cohort_marks')
            ->where('exam_id', $candidacy->exam->id)
            ->where('user_id', '!=', $candidacy->user->id)
            ->groupBy('topic')
            ->select('topic')
            ->selectRaw('count(*) as n, avg(share) as mean')
            // What is equal came of another sum, so it may differ in the last digits.
            ->selectRaw("sum(share < {$mine} - 1e-9) as below", $bindings)
            ->selectRaw("sum(abs(share - {$mine}) <= 1e-9) as equal", $bindings)
            ->get();

        return $rows
            ->mapWithKeys(fn (stdClass $row): array => [
                (string) $row->topic => [
                    'n' => (int) $row->n,
                    'mean' => (float) $row->mean,
                    'below' => (int) $row->below,
                    'equal' => (int) $row->equal,
                ],
            ])
            ->all();
    }

    /** @return array<string, Same> by topic: first looks at questions that enough others have met */
    private function same(Candidacy $candidacy): array
    {
        $rows = KnownQuestions::met()
            ->join('topics', 'topics.id', '=', 'outcomes.topic_id')
            ->leftJoin('topics as tops', 'tops.id', '=', 'topics.parent_id')
            ->where('outcomes.user_id', $candidacy->user->id)
            ->where('outcomes.exam_id', $candidacy->exam->id)
            ->where('outcomes.first_look', true)
            ->whereNotIn('outcomes.question_id', array_keys($this->gate->covered($candidacy->user->id)))
            ->groupByRaw('coalesce(tops.code, topics.code)')
            ->selectRaw('coalesce(tops.code, topics.code) as topic')
            ->get();

        return $rows
            ->mapWithKeys(fn (stdClass $row): array => [
                (string) $row->topic => [
                    'n' => (int) $row->n,
                    'mine' => (float) $row->mine,
                    'cohort' => (float) $row->cohort,
                ],
            ])
            ->all();
    }
}
