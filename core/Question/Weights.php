<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Brick\Math\BigRational;
use Uplandia\Core\Exact;

/** Weights of the parts of one question, as shares of 1. */
final class Weights
{
    /**
     * @param  list<int|string>  $ids
     * @param  array<string, int|string>  $weights  positive; a part that is not named weighs 1
     * @return array<string, BigRational> adding up to exactly 1
     *
     * @throws InvalidQuestion
     */
    public static function normalised(array $ids, array $weights): array
    {
        $sum = BigRational::zero();
        $shares = [];
        foreach ($ids as $id) {
            $share = Exact::parse($weights[$id] ?? 1);
            if ($share === null || $share->getSign() <= 0) {
                throw InvalidQuestion::because("The weight of \"{$id}\" must be more than 0.");
            }
            $shares[(string) $id] = $share;
            $sum = $sum->plus($share);
        }

        $part = static fn (BigRational $share): BigRational => $share->dividedBy($sum)->simplified();

        return array_map($part, $shares);
    }
}
