<?php

declare(strict_types=1);

namespace Uplandia\Core\Plan;

/** Questions of one topic that were met, those alike told together. Days are counts of days. */
final readonly class Met
{
    /**
     * @param  int  $n  how many
     * @param  int  $day  on which they were last seen
     * @param  int|null  $due  day of their revisit, the day before the exam at the latest; null: none is set
     * @param  bool  $gap  they are open in the gap book
     */
    public function __construct(public int $n, public int $day, public ?int $due, public bool $gap)
    {
    }
}
