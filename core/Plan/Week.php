<?php

declare(strict_types=1);

namespace Uplandia\Core\Plan;

/** A week of a plan, Monday to Sunday, or what of it lies between today and the exam. */
final readonly class Week
{
    /**
     * @param  int  $from  its first day
     * @param  int  $to  its last day
     * @param  list<int>  $days  on which one studies
     * @param  int  $ms  there are for it
     * @param  int  $plannedMs  that what is planned takes
     * @param  list<int>  $new  questions never met, by topic
     * @param  list<int>  $weak  questions where most is at stake, by topic
     * @param  int|null  $rehearsal  the day of it; null: none
     */
    public function __construct(
        public int $from,
        public int $to,
        public array $days,
        public int $ms,
        public int $plannedMs,
        public int $revisits,
        public array $new,
        public array $weak,
        public ?int $rehearsal,
    ) {
    }

    /** All but those of a rehearsal. */
    public function questions(): int
    {
        return $this->revisits + array_sum($this->new) + array_sum($this->weak);
    }
}
