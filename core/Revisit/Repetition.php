<?php

declare(strict_types=1);

namespace Uplandia\Core\Revisit;

/** One time that something was asked back, and how well it came. */
final readonly class Repetition
{
    /** @param  int  $day  a count of days in the candidate's time zone */
    public function __construct(public int $day, public Grade $grade)
    {
    }
}
