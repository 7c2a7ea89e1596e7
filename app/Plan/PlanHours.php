<?php

declare(strict_types=1);

namespace App\Plan;

use App\Clock\Moment;
use App\Question\Candidacy;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Plan\Hours;
use Uplandia\Core\Statistics\Sample;

/** The hours that a candidate has said they have, and how long a question takes them. */
final class PlanHours
{
    /** One's pace is that of one's latest answers. */
    private const LATEST = 500;

    /**
     * @param  int|null  $ownMs  as `questionMs` has it
     * @return Hours|null null: they have not said
     */
    public static function of(Candidacy $candidacy, ?int $ownMs): ?Hours
    {
        $row = DB::table('enrolments')
            ->where($candidacy->key())
            ->first(['hours_week', 'weekdays_off', 'dates_off']);
        if ($row?->hours_week === null) {
            return null;
        }
        $dates = array_filter((array) json_decode((string) $row->dates_off, true), is_string(...));

        return new Hours(
            week: (float) $row->hours_week,
            weekdaysOff: array_values(array_filter(
                (array) json_decode((string) $row->weekdays_off, true),
                is_int(...),
            )),
            daysOff: array_map(Moment::dayOf(...), array_values($dates)),
            questionMs: $ownMs ?? Hours::USUAL_MS,
        );
    }

    /**
     * @param  list<int>  $weekdaysOff
     * @param  list<string>  $datesOff  such as 2026-05-31
     */
    public static function keep(Candidacy $candidacy, float $week, array $weekdaysOff, array $datesOff): void
    {
        DB::table('enrolments')->upsert(
            [
                ...$candidacy->key(),
                'hours_week' => $week,
                'weekdays_off' => json_encode($weekdaysOff, JSON_THROW_ON_ERROR),
                'dates_off' => json_encode($datesOff, JSON_THROW_ON_ERROR),
            ],
            ['user_id', 'exam_id'],
            ['hours_week', 'weekdays_off', 'dates_off'],
        );
    }

    /** @return int|null the median on screen, answering and reading; null: too little is known */
    public static function questionMs(Candidacy $candidacy): ?int
    {
        $times = DB::table('outcomes')
            ->where($candidacy->key())
            ->whereNotIn('outcome', [Outcome::NotReached->value, Outcome::LeftBlank->value])
            ->orderByDesc('settled_ms')
            ->limit(self::LATEST)
            ->pluck('active_ms')
            ->map(floatval(...))
            ->all();
        $median = count($times) < Hours::KNOWN_FROM ? null : Sample::quantile(array_values($times), 0.5);

        // Whoever clicks through has no pace.
        return $median === null ? null : max(1000, (int) round($median));
    }
}
