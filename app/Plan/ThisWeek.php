<?php

declare(strict_types=1);

namespace App\Plan;

use App\Clock\Moment;
use App\Http\Afterwards;
use App\Question\Candidacy;
use App\Question\Exam;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Plan\Hours;
use Uplandia\Core\Plan\Plan;

/** Holds what was done this week against what was planned when it was first looked at. */
final readonly class ThisWeek
{
    public function __construct(
        private Plans $plans,
        private Afterwards $afterwards,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param  Plan|null  $plan  where it has been made already
     * @return ThisWeekView|null null: the date or the hours are not said, or the exam is today or over
     */
    public function of(Candidacy $candidacy, ?Plan $plan = null): ?ThisWeekView
    {
        $enrolment = $candidacy->enrolment();
        $today = $candidacy->today($this->clock);
        if ($enrolment->examDay === null || $today >= $enrolment->examDay || ! $enrolment->saysHours) {
            return null;
        }
        $monday = Hours::monday($today);
        $done = WeekDone::since($candidacy, $monday);
        $planned = DB::table('plan_weeks')
            ->where($candidacy->key())
            ->where('monday', $monday)
            ->first(['questions', 'ms', 'rehearsal']);
        if ($planned === null) {
            $plan ??= $this->plans->of($candidacy, PlanHours::of(
                candidacy: $candidacy,
                ownMs: PlanHours::questionMs($candidacy),
            ));
            $rest = $plan->weeks[0] ?? null;
            $planned = (object) [
                // What was done before counts as if it had been planned.
                'questions' => $done['answered'] + ($rest?->questions() ?? 0),
                'ms' => $done['ms'] + ($rest->plannedMs ?? 0),
                'rehearsal' => $rest?->rehearsal !== null || $done['rehearsed'] > 0,
            ];
            $keep = [
                ...$candidacy->key(),
                'monday' => $monday,
                'made_ms' => Moment::now($this->clock),
            ] + (array) $planned;
            $this->afterwards->do(function () use ($keep): void {
                DB::table('plan_weeks')->insertOrIgnore($keep);
            });
        }

        return new ThisWeekView(
            from: Moment::date($monday),
            questions: (int) $planned->questions,
            answered: $done['answered'],
            ms: (int) $planned->ms,
            spentMs: $done['ms'],
            rehearsal: (bool) $planned->rehearsal,
            rehearsed: $done['rehearsed'],
        );
    }

    /** With other hours, or another date, what is left of the week is planned anew. */
    public static function forget(Candidacy $candidacy): void
    {
        DB::table('plan_weeks')->where($candidacy->key())->delete();
    }
}
