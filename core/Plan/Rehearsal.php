<?php

declare(strict_types=1);

namespace Uplandia\Core\Plan;

/** What a rehearsal takes. */
final readonly class Rehearsal
{
    /** @param  int  $ms  as long as the exam allows */
    public function __construct(public int $questions, public int $ms)
    {
    }
}
