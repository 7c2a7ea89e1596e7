<?php

declare(strict_types=1);

namespace App\Progress;

use App\Clock\Moment;
use App\Question\Candidacy;
use App\Sitting\KeyGate;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\MarkScheme;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Progress\Trend;
use Uplandia\Core\Result\QuestionResult;
use Uplandia\Core\Result\RapidGuess;
use Uplandia\Core\Result\SurenessReport;
use Uplandia\Core\Sitting\Sureness;

/**
 * How sittings went over time, and how well one's word on one's answers held, month by month.
 *
 * @phpstan-type TrendStory array{
 *     sitting: string, at: int, mode: string, n: int, share: float, low: float, high: float, line: float|null,
 *     expected: float|null
 * }
 * @phpstan-type Sums array{answers: int, pending: int, marks: float, squares: float, expected: float}
 * @phpstan-type MonthStory array{
 *     month: string, n: int, off: float, low: float|null, high: float|null, leaning: string
 * }
 * @phpstan-type Story array{trend: list<TrendStory>, months: list<MonthStory>}
 */
final readonly class AnswerHistory
{
    /** The latest of a mode. */
    private const SITTINGS = 60;

    private const ANSWERED = [Outcome::Right->value, Outcome::Partly->value, Outcome::Missed->value];

    /** @var Sums */
    private const NOTHING = ['answers' => 0, 'pending' => 0, 'marks' => 0.0, 'squares' => 0.0, 'expected' => 0.0];

    public function __construct(private KeyGate $gate)
    {
    }

    /**
     * @param  Estimate|null  $estimate  from which is told what is expected of them today; null: it is not told
     * @return Story
     */
    public function of(Candidacy $candidacy, ?Estimate $estimate): array
    {
        $rows = DB::table('outcomes')
            ->join('questions', 'questions.id', '=', 'outcomes.question_id')
            ->where('outcomes.user_id', $candidacy->user->id)
            ->where('outcomes.exam_id', $candidacy->exam->id)
            ->where(fn (Builder $told): Builder => $told->where('counts', true)->orWhereNotNull('sureness'))
            ->orderBy('outcomes.settled_ms')
            ->orderBy('outcomes.sitting_id')
            ->orderBy('outcomes.position')
            ->select([
                'sitting_id', 'outcome', 'credit', 'outcomes.share', 'sureness', 'active_ms', 'cohort_ms', 'counts',
                'possible', 'question_id', 'settled_ms', 'outcomes.day', 'questions.luck', 'questions.b',
                'questions.topic_id',
            ]);
        $sat = $stated = [];
        $held = $this->gate->covered($candidacy->user->id);
        $waiting = array_flip($this->gate->waiting($candidacy->user->id));
        $scheme = new MarkScheme();
        foreach ($rows->cursor() as $row) {
            $median = $row->cohort_ms === null ? null : (float) $row->cohort_ms;
            $says = in_array($row->outcome, self::ANSWERED, true) &&
                ! RapidGuess::is((int) $row->active_ms, $median);
            if ((bool) $row->counts && ! isset($waiting[$row->sitting_id])) {
                $worth = (float) $row->possible;
                $sat[$row->sitting_id] ??= self::NOTHING;
                $sat[$row->sitting_id]['answers'] += $says ? 1 : 0;
                $sat[$row->sitting_id]['pending'] += $row->outcome === Outcome::Pending->value ? 1 : 0;
                $sat[$row->sitting_id]['marks'] += $worth;
                $sat[$row->sitting_id]['squares'] += $worth * $worth;
                $sat[$row->sitting_id]['expected'] += $estimate === null
                    ? 0.0
                    : $worth * $estimate->expects((int) $row->topic_id, (float) $row->b, (float) $row->luck);
            }
            $asking = $held[(int) $row->question_id] ?? null;
            if ($says && $row->sureness !== null && $asking?->withholds((int) $row->settled_ms) !== true) {
                $stated[substr(Moment::date((int) $row->day), 0, 7)][] = self::result($row, $scheme);
            }
        }
        ksort($stated);

        return [
            'trend' => $this->trend($candidacy, $sat, $estimate !== null),
            'months' => array_map(self::month(...), array_keys($stated), $stated),
        ];
    }

    private static function result(stdClass $row, MarkScheme $scheme): QuestionResult
    {
        return new QuestionResult(
            position: 0,
            labels: [],
            credit: Credit::stored(Outcome::from((string) $row->outcome), $row->credit),
            scheme: $scheme,
            ms: (int) $row->active_ms,
            cohortMedianMs: $row->cohort_ms === null ? null : (float) $row->cohort_ms,
            sureness: Sureness::from((string) $row->sureness),
            luck: (float) $row->luck,
        );
    }

    /**
     * @param  list<QuestionResult>  $answers
     * @return MonthStory
     */
    private static function month(string $month, array $answers): array
    {
        $report = SurenessReport::of($answers);

        return [
            'month' => $month,
            'n' => $report->n,
            'off' => (float) $report->calibration,
            'low' => $report->calibrationWithin?->low,
            'high' => $report->calibrationWithin?->high,
            'leaning' => $report->leaning()->value,
        ];
    }

    /**
     * @param  array<string, Sums>  $sat  by sitting
     * @return list<TrendStory> by mode, in order of time
     */
    private function trend(Candidacy $candidacy, array $sat, bool $expects): array
    {
        $sittings = DB::table('sittings')
            ->where($candidacy->key())
            ->where('counts', true)
            ->whereNull('deleted_at')
            // Of an adaptive test the share says nothing: whoever knows more is asked what is harder.
            ->whereNotNull('share')
            ->orderByDesc('ended_ms')
            ->orderByDesc('id')
            ->get(['id', 'ended_ms', 'mode', 'share']);
        // What waits to be marked is no result yet, and what was clicked through is none.
        $sat = array_filter($sat, fn (array $sums): bool => $sums['pending'] === 0 && $sums['answers'] > 0);
        $trend = [];
        foreach ($sittings->groupBy('mode') as $mode => $of) {
            $of = array_reverse(array_slice(array_values(
                $of->filter(fn (stdClass $one): bool => isset($sat[$one->id]))->all(),
            ), 0, self::SITTINGS));
            $points = Trend::of(array_map(
                fn (stdClass $one): array => [
                    'at' => (int) $one->ended_ms / Moment::MS_PER_DAY,
                    'share' => (float) $one->share,
                    'effective' => $sat[$one->id]['marks'] ** 2 / $sat[$one->id]['squares'],
                    'answers' => $sat[$one->id]['answers'],
                ],
                $of,
            ));
            foreach ($points as $i => $point) {
                $sums = $sat[$of[$i]->id];
                $trend[] = [
                    'sitting' => (string) $of[$i]->id,
                    'at' => (int) $of[$i]->ended_ms,
                    'mode' => (string) $mode,
                    'n' => $sums['answers'],
                    'share' => $point->share,
                    'low' => $point->band->low,
                    'high' => $point->band->high,
                    'line' => $point->line,
                    'expected' => $expects ? $sums['expected'] / $sums['marks'] : null,
                ];
            }
        }

        return $trend;
    }
}
