<?php

declare(strict_types=1);

namespace App\Plan;

use App\Assembly\Bank;
use App\Progress\Coverage;
use App\Progress\KeptEstimates;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\SyllabusTopic;
use App\Revisit\DueDays;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Plan\Hours;
use Uplandia\Core\Plan\Plan;
use Uplandia\Core\Plan\Rehearsal;
use Uplandia\Core\Plan\Topic;

/** Makes the plan of a candidate from where they stand today. */
final readonly class Plans
{
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
            topics: $this->topics($candidacy),
            due: $this->due->of($candidacy, $today),
            rehearsal: self::rehearsal($candidacy->exam),
            rehearsed: WeekDone::since($candidacy, Hours::monday($today))['rehearsed'] > 0,
        );
    }

    /** @return list<Topic> in the order of the blueprint */
    private function topics(Candidacy $candidacy): array
    {
        $syllabus = $candidacy->syllabus();
        $coverage = Coverage::of($this->bank, $candidacy);
        $stakes = array_column($this->kept->of($candidacy)['stands']['topics'], 'stake', 'code');

        return array_map(
            function (SyllabusTopic $top) use ($syllabus, $coverage, $stakes): Topic {
                $covered = $coverage->over($top, ...$syllabus->under($top));

                return new Topic(
                    weight: $top->weight ?? '0',
                    unseen: $covered['all'] - $covered['seen'],
                    bank: $covered['all'],
                    stake: (float) ($stakes[$top->code] ?? 0.0),
                );
            },
            $syllabus->tops(),
        );
    }

    private static function rehearsal(Exam $exam): ?Rehearsal
    {
        if (! $exam->hasBlueprint()) {
            return null;
        }
        $blueprint = $exam->blueprint();

        return new Rehearsal($blueprint->questions(), 60_000 * $blueprint->minutes);
    }
}
