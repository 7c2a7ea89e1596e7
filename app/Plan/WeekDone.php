<?php

declare(strict_types=1);

namespace App\Plan;

use App\Clock\Moment;
use App\Question\Candidacy;
use App\Sitting\HandedIn;
use App\Sitting\Stage;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Marking\Outcome;

/**
 * What a candidate has done since a Monday: questions answered but for those of rehearsals and papers, active time,
 * rehearsals and papers handed in.
 *
 * @phpstan-type Done array{answered: int, ms: int, rehearsed: int}
 */
final class WeekDone
{
    /**
     * @param  int  $monday  as a count of days
     * @return Done since then
     */
    public static function since(Candidacy $candidacy, int $monday): array
    {
        $enrolment = $candidacy->enrolment();
        // A day of slack, for the index knows moments and not days; a sitting belongs to the day it was handed in.
        $from = ($monday - 1) * Moment::MS_PER_DAY;
        $done = ['answered' => 0, 'ms' => 0, 'rehearsed' => 0];
        $sat = HandedIn::of($candidacy)
            ->join('tests', 'tests.id', '=', 'sittings.test_id')
            ->where('sittings.ended_ms', '>=', $from)
            ->get(['ended_ms', 'active_ms', 'answered', 'of_exam', 'section']);
        foreach ($sat as $sitting) {
            if ($enrolment->dayOf((int) $sitting->ended_ms) < $monday) {
                continue;
            }
            $whole = (bool) $sitting->of_exam && $sitting->section === null;
            $done['ms'] += (int) $sitting->active_ms;
            $done['rehearsed'] += $whole ? 1 : 0;
            $done['answered'] += $whole ? 0 : (int) $sitting->answered;
        }
        // In tutor mode each question counts as soon as its answer was shown.
        $open = DB::table('outcomes')
            ->join('sittings', 'sittings.id', '=', 'outcomes.sitting_id')
            ->where('outcomes.user_id', $candidacy->user->id)
            ->where('outcomes.exam_id', $candidacy->exam->id)
            ->where('outcomes.settled_ms', '>=', $from)
            ->where('outcomes.day', '>=', $monday)
            ->where('sittings.status', Stage::Open->value)
            ->whereNotIn('outcomes.outcome', [Outcome::NotReached->value, Outcome::LeftBlank->value])
            ->selectRaw('count(*) as n, sum(outcomes.active_ms) as ms')
            ->first();

        return [
            'answered' => $done['answered'] + (int) ($open->n ?? 0),
            'ms' => $done['ms'] + (int) ($open->ms ?? 0),
            'rehearsed' => $done['rehearsed'],
        ];
    }
}
