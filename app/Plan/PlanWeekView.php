<?php

declare(strict_types=1);

namespace App\Plan;

use App\Http\Contract\Day;

/** A week of the plan, Monday to Sunday, or what of it lies between today and the exam. */
final readonly class PlanWeekView
{
    /**
     * @param  int  $days  On which one studies.
     * @param  int  $ms  There are for it.
     * @param  int  $plannedMs  That what is planned takes.
     * @param  int  $spareMs  Left over: for rehearsals and papers, the handbook and cards.
     * @param  int  $revisits  Known to be due.
     * @param  list<PlanPartView>  $new  Never met, in the order of the blueprint.
     * @param  list<PlanPartView>  $weak  Where most is at stake, in the order of the blueprint.
     * @param  string|null  $rehearsal  The day of a rehearsal; null: none.
     */
    public function __construct(
        #[Day] public string $from,
        #[Day] public string $to,
        public int $days,
        public int $ms,
        public int $plannedMs,
        public int $spareMs,
        public int $revisits,
        public array $new,
        public array $weak,
        #[Day] public ?string $rehearsal,
    ) {
    }
}
