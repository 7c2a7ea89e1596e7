<?php

declare(strict_types=1);

namespace App\Sitting;

/** What became of the questions of a sitting; they add up to all. */
final readonly class OutcomeCountsView
{
    public function __construct(
        public int $right,
        public int $partly,
        public int $missed,
        public int $leftBlank,
        public int $notReached,
        public int $pending,
    ) {
    }
}
