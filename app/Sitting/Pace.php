<?php

declare(strict_types=1);

namespace App\Sitting;

use Brick\Math\BigRational;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Allocation;
use Uplandia\Core\Sitting\PacePlan;
use Uplandia\Core\Sitting\Terms;

/** How much time a sitting's plan gives to each mark. */
final class Pace
{
    /** @return PacePlan|null null: no clock runs over the whole, or nobody knows yet what it will ask */
    public function of(Sitting $sitting, BigRational $marks): ?PacePlan
    {
        $terms = $sitting->terms();

        return $terms->limit !== null && $marks->getSign() > 0 && $sitting->test->adaptive === null
            ? PacePlan::of(
                time: $terms->limit,
                reading: $terms->reading,
                reserve: min($sitting->reserve_ms, $this->mostReserve($sitting)),
                marks: $marks,
            )
            : null;
    }

    /**
     * What the plan gives to each section: whole minutes of the candidate's own, as the exam's page tells them, and
     * together exactly what there is.
     *
     * @param  list<string>  $marks  of the sections, exact
     * @return list<int> milliseconds
     */
    public static function bySection(PacePlan $plan, array $marks, string $extraTime): array
    {
        $all = $plan->timeFor(BigRational::sum(...array_map(BigRational::of(...), $marks)));
        $minute = (int) round(Terms::MS_PER_MINUTE * BigRational::of($extraTime)->toFloat());
        $whole = intdiv($all, $minute);
        $times = array_map(
            fn (int $minutes): int => $minutes * $minute,
            Allocation::of($whole, $marks, array_fill(0, count($marks), $whole))->counts,
        );
        $times[count($times) - 1] += $all - $whole * $minute;

        return array_values($times);
    }

    /** What its questions are worth in all. */
    public function marks(Sitting $sitting): BigRational
    {
        $marks = BigRational::zero();
        foreach (DB::table('test_items')->where('test_id', $sitting->test_id)->pluck('marks') as $worth) {
            $marks = $marks->plus(is_string($worth) ? $worth : 0);
        }

        return $marks;
    }

    /** The most that may be left at the end, in milliseconds: half of the time for answering. */
    public function mostReserve(Sitting $sitting): int
    {
        return intdiv($sitting->terms()->answering() ?? 0, 2);
    }
}
