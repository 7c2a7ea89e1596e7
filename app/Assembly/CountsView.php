<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;
use Uplandia\Core\Assembly\Pool;
use Uplandia\Core\Marking\Outcome;

/** How many questions there are, by pool. The six between `all` and `flagged` add up to it. */
#[OA\Schema(schema: 'Counts')]
final readonly class CountsView
{
    public function __construct(
        #[OA\Property] public int $all,
        #[OA\Property] public int $new,
        #[OA\Property] public int $gotIt,
        #[OA\Property] public int $partly,
        #[OA\Property] public int $missed,
        #[OA\Property] public int $leftBlank,
        #[OA\Property] public int $toBeMarked,
        #[OA\Property] public int $flagged,
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
