<?php

declare(strict_types=1);

namespace App\Plan;

use App\Assembly\Bank;
use App\Progress\Coverage;
use App\Progress\KeptEstimates;
use App\Question\Candidacy;
use App\Question\OwnStandings;
use App\Question\SyllabusTopic;
use App\Revisit\DueDays;
use Brick\Math\BigRational;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Plan\Hours;
use Uplandia\Core\Plan\Met;
use Uplandia\Core\Plan\Plan;
use Uplandia\Core\Plan\Rehearsal;
use Uplandia\Core\Plan\Topic;

/** Makes the plan of a candidate from where they stand today. */
final readonly class Plans
{
    /** Days begin on a quarter of an hour, wherever one lives. */
    private const QUARTER_MS = 900_000;

    public function __construct(
        private Bank $bank,
        private KeptEstimates $kept,
        private DueDays $due,
        private ClockInterface $clock,
    ) {
    }

    /** @return Plan|null null: the date or the hours are not said */
    public function of(Candidacy $candidacy, ?Hours $hours): ?Plan
    {
        $enrolment = $candidacy->enrolment();
        if ($enrolment->examDay === null || $hours === null) {
            return null;
        }

        $today = $candidacy->today($this->clock);

        return Plan::of(
            today: $today,
            examDay: $enrolment->examDay,
            hours: $hours,
            topics: $this->topics($candidacy, $enrolment->examDay),
            due: $this->due->of($candidacy, $today),
            rehearsal: self::rehearsal($candidacy),
            rehearsed: WeekDone::since($candidacy, Hours::monday($today))['rehearsed'] > 0,
        );
    }

    /** @return list<Topic> in the order of the blueprint */
    private function topics(Candidacy $candidacy, int $examDay): array
    {
        $syllabus = $candidacy->syllabus();
        $coverage = Coverage::of($this->bank, $candidacy);
        $stakes = array_column($this->kept->of($candidacy)['stands']['topics'], 'stake', 'code');
        $met = self::met($candidacy, $examDay);

        return array_map(
            function (SyllabusTopic $top) use ($syllabus, $coverage, $stakes, $met): Topic {
                $covered = $coverage->over($top, ...$syllabus->under($top));

                return new Topic(
                    weight: $top->weight ?? '0',
                    unseen: $covered['all'] - $covered['seen'],
                    met: $met[$top->id] ?? [],
                    stake: (float) ($stakes[$top->code] ?? 0.0),
                );
            },
            $syllabus->tops(),
        );
    }

    /** @return array<int, list<Met>> by topic at the top; what is retired is asked no more */
    private static function met(Candidacy $candidacy, int $examDay): array
    {
        $quarter = self::QUARTER_MS;
        $counts = $first = [];
        foreach ([1 => OwnStandings::of($candidacy), -1 => OwnStandings::ofRetired($candidacy)] as $sign => $rows) {
            $rows = $rows
                ->whereNotNull('outcome')
                ->whereNotNull('seen_ms')
                ->groupBy('standings.topic_id', 'gap_open', 'due_day', DB::raw("seen_ms / {$quarter}"))
                ->selectRaw("standings.topic_id, gap_open, due_day, seen_ms / {$quarter} as quarter, count(*) as n");
            foreach ($rows->get() as $row) {
                $alike = "{$row->topic_id} {$row->gap_open} {$row->due_day} {$row->quarter}";
                $first[$alike] ??= $row;
                $counts[$alike] = ($counts[$alike] ?? 0) + $sign * (int) $row->n;
            }
        }
        $met = [];
        foreach (array_filter($counts) as $alike => $n) {
            $row = $first[$alike];
            $met[$candidacy->syllabus()->topOf((int) $row->topic_id)->id][] = new Met(
                n: $n,
                day: $candidacy->enrolment()->dayOf((int) $row->quarter * $quarter),
                due: $row->due_day === null ? null : min((int) $row->due_day, $examDay - 1),
                gap: (bool) $row->gap_open,
            );
        }

        return $met;
    }

    /** It takes as long as the exam allows, with the candidate's extra time. */
    private static function rehearsal(Candidacy $candidacy): ?Rehearsal
    {
        if (! $candidacy->exam->hasBlueprint()) {
            return null;
        }
        $blueprint = $candidacy->exam->blueprint();
        $minutes = BigRational::of($blueprint->minutes)->multipliedBy($candidacy->user->extra_time);

        return new Rehearsal($blueprint->questions(), (int) round(60_000 * $minutes->toFloat()));
    }
}
