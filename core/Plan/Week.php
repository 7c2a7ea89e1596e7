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

    /**
     * The same with more questions that were never met.
     *
     * @param  list<int>  $more  by topic
     */
    public function meeting(array $more, int $questionMs): self
    {
        return new self(
            from: $this->from,
            to: $this->to,
            days: $this->days,
            ms: $this->ms,
            plannedMs: $this->plannedMs + array_sum($more) * $questionMs,
            revisits: $this->revisits,
            new: array_map(static fn (int $new, int $n): int => $new + $n, $this->new, $more),
            weak: $this->weak,
            rehearsal: $this->rehearsal,
        );
    }

    /** Left over: for rehearsals and papers, the handbook and cards. */
    public function spareMs(): int
    {
        return $this->ms - $this->plannedMs;
    }

    /** All but those of a rehearsal. */
    public function questions(): int
    {
        return $this->revisits + array_sum($this->new) + array_sum($this->weak);
    }
}
