<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\OwnStandings;
use Illuminate\Database\Query\Builder;

/** How many revisits fall on which day. What is retired is asked no more, so it does not come back either. */
final class DueDays
{
    /**
     * Few are retired, so they are looked for one by one and taken off, instead of asking of each whether it is.
     *
     * @param  int  $today  a count of days
     * @return array<int, int> by day: what is overdue is due today, nothing later than the day before the exam
     */
    public function of(Candidacy $candidacy, int $today): array
    {
        $examDay = $candidacy->enrolment()->examDay;
        $retired = OwnStandings::ofRetired($candidacy)->whereNotNull('due_day');
        $days = [];
        foreach ([1 => self::scheduled($candidacy), -1 => $retired] as $sign => $rows) {
            foreach ($rows->groupBy('due_day')->selectRaw('due_day, count(*) as n')->get() as $row) {
                $day = (int) $row->due_day;
                $day = $examDay === null ? $day : min($day, $examDay - 1);
                $day = max($today, $day);
                $days[$day] = ($days[$day] ?? 0) + $sign * (int) $row->n;
            }
        }

        return array_filter($days);
    }

    public static function scheduled(Candidacy $candidacy): Builder
    {
        return OwnStandings::of($candidacy)->whereNotNull('due_day');
    }
}
