<?php

declare(strict_types=1);

namespace App\Question;

use App\Clock\Moment;
use Illuminate\Support\Facades\DB;

/** What a candidate has said of an exam they study for: its date, their target, their hours, their time zone. */
final readonly class Enrolment
{
    /**
     * @param  int|null  $examDay  a count of days; null: no date is set
     * @param  string  $timeZone  in which their days begin
     * @param  bool  $inCohort  whether they take part in the cohort
     * @param  bool  $saysHours  whether they have said what hours they have
     */
    private function __construct(
        public ?int $examDay,
        public string $timeZone,
        public bool $inCohort,
        public bool $saysHours,
    ) {
    }

    public static function of(int $user, int $exam): self
    {
        $row = DB::table('enrolments')
            ->where('user_id', $user)
            ->where('exam_id', $exam)
            ->first(['exam_date', 'time_zone', 'in_cohort', 'hours_week']);

        return new self(
            examDay: is_string($row?->exam_date) ? Moment::dayOf($row->exam_date) : null,
            timeZone: $row->time_zone ?? 'UTC',
            inCohort: (bool) ($row->in_cohort ?? true),
            saysHours: ($row->hours_week ?? null) !== null,
        );
    }

    /**
     * @param  string|null  $examDate  such as 2026-05-31; null: none is set
     * @param  string  $timeZone  such as Europe/Oslo
     */
    public static function keep(int $user, int $exam, ?string $examDate, string $timeZone): void
    {
        DB::table('enrolments')->upsert(
            ['user_id' => $user, 'exam_id' => $exam, 'exam_date' => $examDate, 'time_zone' => $timeZone],
            ['user_id', 'exam_id'],
            ['exam_date', 'time_zone'],
        );
        // In another time zone, answers were given at other hours.
        DB::table('kept_estimates')->where('user_id', $user)->where('exam_id', $exam)->increment('evidence');
    }

    /** @param  int  $now  Unix milliseconds */
    public static function takePart(int $user, int $exam, bool $takesPart, int $now): void
    {
        DB::table('enrolments')->upsert(
            ['user_id' => $user, 'exam_id' => $exam, 'in_cohort' => $takesPart, 'cohort_ms' => $now],
            ['user_id', 'exam_id'],
            ['in_cohort', 'cohort_ms'],
        );
    }

    /** @return string|null such as 2026-05-31 */
    public function examDate(): ?string
    {
        return $this->examDay === null ? null : Moment::date($this->examDay);
    }

    /**
     * @param  int  $now  Unix milliseconds
     * @return int|null 0: it is today; negative: it is over; null: no date is set
     */
    public function daysToGo(int $now): ?int
    {
        return $this->examDay === null ? null : $this->examDay - $this->dayOf($now);
    }

    public function dayOf(int $ms): int
    {
        return Moment::day($ms, $this->timeZone);
    }

    /** Nothing comes back later than the day before the exam: by then, all that is on the schedule is due. */
    public function allIsDueOn(int $day): bool
    {
        return $this->examDay !== null && $day >= $this->examDay - 1;
    }
}
