<?php

declare(strict_types=1);

namespace Uplandia\Core\Revisit;

/** How firmly a question or a card is remembered as of its latest look, and so when it should come back. */
final readonly class Remembered
{
    /** @param  int  $day  of the latest look */
    private function __construct(public Memory $memory, public int $day)
    {
    }

    /**
     * @param  iterable<Repetition>  $looks  in order of time
     * @return self|null null: it was never looked at
     */
    public static function after(iterable $looks): ?self
    {
        $so = null;
        foreach ($looks as $look) {
            $memory =
                $so === null
                    ? Scheduler::first($look->grade)
                    : Scheduler::next($so->memory, $look->grade, max(0, $look->day - $so->day));
            $so = new self($memory, $look->day);
        }

        return $so;
    }

    /** The day it should come back, whatever the exam's date. */
    public function dueDay(): int
    {
        return $this->day + Scheduler::interval($this->memory);
    }
}
