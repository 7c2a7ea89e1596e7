<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;

/** How many questions there are, by pool. The first five after `all` add up to it. */
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
        #[OA\Property] public int $flagged,
    ) {
    }

    /** @param  array<string, int>  $met  outcome or "flagged" => count */
    public static function of(int $all, array $met): self
    {
        $known = ($met['right'] ?? 0) + ($met['partly'] ?? 0) + ($met['missed'] ?? 0) + ($met['left_blank'] ?? 0);

        return new self($all, $all - $known, $met['right'] ?? 0, $met['partly'] ?? 0, $met['missed'] ?? 0, $met['left_blank'] ?? 0, $met['flagged'] ?? 0);
    }

    /** @param  list<self>  $parts */
    public static function sum(array $parts): self
    {
        $sum = fn (string $name): int => array_sum(array_column($parts, $name));

        return new self($sum('all'), $sum('new'), $sum('gotIt'), $sum('partly'), $sum('missed'), $sum('leftBlank'), $sum('flagged'));
    }
}
