<?php

declare(strict_types=1);

namespace App\Assembly;

use Uplandia\Core\Assembly\Pool;
use Uplandia\Core\Marking\Outcome;

/** How many questions there are, by pool. The six between `all` and `flagged` add up to it. */
final readonly class CountsView
{
    public function __construct(
        public int $all,
        public int $new,
        public int $gotIt,
        public int $partly,
        public int $missed,
        public int $leftBlank,
        public int $toBeMarked,
        public int $flagged,
    ) {
    }

    /** @param  array<string, int>  $met  outcome or "flagged" => count */
    public static function of(int $all, array $met): self
    {
        $pools = array_fill_keys(array_column(Pool::cases(), 'value'), 0);
        foreach (Outcome::cases() as $outcome) {
            $pools[Pool::ofOutcome($outcome)->value] += $met[$outcome->value] ?? 0;
        }
        $known = array_sum($pools) - $pools[Pool::NewToMe->value];

        return new self(
            all: $all,
            new: $all - $known,
            gotIt: $pools[Pool::GotIt->value],
            partly: $pools[Pool::Partly->value],
            missed: $pools[Pool::Missed->value],
            leftBlank: $pools[Pool::LeftBlank->value],
            toBeMarked: $pools[Pool::ToBeMarked->value],
            flagged: $met['flagged'] ?? 0,
        );
    }
}
