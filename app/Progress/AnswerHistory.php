<?php

declare(strict_types=1);

namespace App\Progress;

use App\Clock\Moment;
use App\Question\Candidacy;
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
 *     sitting: string, at: int, mode: string, n: int, share: float, low: float, high: float, line: float|null
 * }
 * @phpstan-type MonthStory array{
 *     month: string, n: int, off: float, low: float|null, high: float|null, leaning: string
 * }
 * @phpstan-type Story array{trend: list<TrendStory>, months: list<MonthStory>}
 */
final class AnswerHistory
{
    /** The latest of a mode. */
    private const SITTINGS = 60;

    /** @return Story */
    public function of(Candidacy $candidacy): array
    {
        $rows = DB::table('outcomes')
            ->join('questions', 'questions.id', '=', 'outcomes.question_id')
            ->where('outcomes.user_id', $candidacy->user->id)
            ->where('outcomes.exam_id', $candidacy->exam->id)
            ->whereNotNull('outcomes.share')
            ->whereIn('outcomes.outcome', [Outcome::Right->value, Outcome::Partly->value, Outcome::Missed->value])
            ->orderBy('outcomes.settled_ms')
            ->orderBy('outcomes.sitting_id')
            ->orderBy('outcomes.position')
            ->select([
                'sitting_id', 'outcome', 'credit', 'outcomes.share', 'sureness', 'active_ms', 'cohort_ms', 'counts',
                'outcomes.day', 'questions.luck',
            ]);
        $sat = $stated = [];
        $scheme = new MarkScheme();
        foreach ($rows->cursor() as $row) {
            $median = $row->cohort_ms === null ? null : (float) $row->cohort_ms;
            if (RapidGuess::is((int) $row->active_ms, $median)) {
                continue;
            }
            if ((bool) $row->counts) {
                $sat[$row->sitting_id] ??= ['credit' => 0.0, 'n' => 0];
                $sat[$row->sitting_id]['credit'] += (float) $row->share;
                $sat[$row->sitting_id]['n']++;
            }
            if ($row->sureness !== null) {
                $stated[substr(Moment::date((int) $row->day), 0, 7)][] = self::result($row, $scheme);
            }
        }
        ksort($stated);

        return [
            'trend' => $this->trend($candidacy, $sat),
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
     * @param  array<string, array{credit: float, n: int}>  $sat  by sitting
     * @return list<TrendStory> by mode, in order of time
     */
    private function trend(Candidacy $candidacy, array $sat): array
    {
        $sittings = DB::table('sittings')
            ->where($candidacy->key())
            ->where('counts', true)
            ->whereNull('deleted_at')
            // Of an adaptive test the share says nothing: whoever knows more is asked what is harder.
            ->whereNotNull('share')
            ->orderByDesc('ended_ms')
            ->get(['id', 'ended_ms', 'mode']);
        $trend = [];
        foreach ($sittings->groupBy('mode') as $mode => $of) {
            $of = array_reverse(array_slice(array_values(
                $of->filter(fn (stdClass $one): bool => isset($sat[$one->id]))->all(),
            ), 0, self::SITTINGS));
            $points = Trend::of(array_map(
                fn (stdClass $one): array => ['at' => (int) $one->ended_ms / Moment::MS_PER_DAY] + $sat[$one->id],
                $of,
            ));
            foreach ($points as $i => $point) {
                $trend[] = [
                    'sitting' => (string) $of[$i]->id,
                    'at' => (int) $of[$i]->ended_ms,
                    'mode' => (string) $mode,
                    'n' => $sat[$of[$i]->id]['n'],
                    'share' => $point->share,
                    'low' => $point->band->low,
                    'high' => $point->band->high,
                    'line' => $point->line,
                ];
            }
        }

        return $trend;
    }
}
