<?php

declare(strict_types=1);

namespace App\Plan;

use App\Clock\Moment;
use App\Question\Candidacy;
use App\Question\SyllabusTopic;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Plan\Hours;
use Uplandia\Core\Plan\Plan;
use Uplandia\Core\Plan\Week;

/** Puts a plan into words that a page shows. */
final readonly class PlanReader
{
    public function __construct(private Plans $plans, private ThisWeek $week, private ClockInterface $clock)
    {
    }

    public function of(Candidacy $candidacy): PlanView
    {
        $enrolment = $candidacy->enrolment();
        $ownMs = PlanHours::questionMs($candidacy);
        $hours = PlanHours::of($candidacy, $ownMs);
        $plan = $this->plans->of($candidacy, $hours);
        $tops = $candidacy->syllabus()->tops();
        $now = Moment::now($this->clock);

        return new PlanView(
            exam: $candidacy->exam->slug,
            examName: $candidacy->exam->name,
            examDate: $enrolment->examDate(),
            daysToGo: $enrolment->daysToGo($now),
            today: Moment::date($enrolment->dayOf($now)),
            hoursWeek: $hours?->week,
            weekdaysOff: $hours->weekdaysOff ?? [],
            datesOff: array_map(Moment::date(...), $hours->daysOff ?? []),
            questionMs: $ownMs ?? Hours::USUAL_MS,
            questionMsKnown: $ownMs !== null,
            weeks: array_map(fn (Week $week): PlanWeekView => self::week($week, $tops), $plan->weeks ?? []),
            missingMs: $plan->missingMs ?? 0,
            leftOut: self::parts($plan->leftOut ?? [], $tops),
            leftOutRevisits: $plan->leftOutRevisits ?? 0,
            leftOutRehearsals: $plan->leftOutRehearsals ?? 0,
            thisWeek: $plan === null ? null : $this->week->of($candidacy, $plan),
        );
    }

    /** @param  list<SyllabusTopic>  $tops */
    private static function week(Week $week, array $tops): PlanWeekView
    {
        return new PlanWeekView(
            from: Moment::date($week->from),
            to: Moment::date($week->to),
            days: count($week->days),
            ms: $week->ms,
            plannedMs: $week->plannedMs,
            spareMs: $week->spareMs(),
            revisits: $week->revisits,
            new: self::parts($week->new, $tops),
            weak: self::parts($week->weak, $tops),
            rehearsal: $week->rehearsal === null ? null : Moment::date($week->rehearsal),
        );
    }

    /**
     * @param  list<int>  $counts  by topic
     * @param  list<SyllabusTopic>  $tops
     * @return list<PlanPartView> those of which there are any
     */
    private static function parts(array $counts, array $tops): array
    {
        $parts = [];
        foreach ($counts as $i => $n) {
            if ($n > 0) {
                $parts[] = new PlanPartView($tops[$i]->code, $tops[$i]->name, $n);
            }
        }

        return $parts;
    }
}
