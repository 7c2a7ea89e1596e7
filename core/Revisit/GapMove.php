<?php

declare(strict_types=1);

namespace Uplandia\Core\Revisit;

/** A question put into the gap book, or taken out of it, by its candidate's own hand. */
final readonly class GapMove
{
    /**
     * @param  int  $at  Unix milliseconds
     * @param  int  $day  the same as a count of whole days, in the candidate's time zone
     * @param  bool  $into  else out of it
     */
    public function __construct(public int $at, public int $day, public bool $into)
    {
    }
}
