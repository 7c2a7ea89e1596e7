<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Brick\Math\BigRational;
use Uplandia\Core\Exact;
use Uplandia\Core\Marking\Credit;

/** Weights of the parts of one question, as shares of 1, and what the right ones are worth. */
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

    /** @return array<string, string> as an answer states them */
    public static function read(Fields $answer): array
    {
        return array_map(strval(...), $answer->exactMap('weights'));
    }

    /**
     * Credit for the parts that are right.
     *
     * @param  list<string>  $right
     * @param  array<string, BigRational>  $weights  as `normalised` gave them
     */
    public static function credit(Rule $rule, array $right, array $weights): Credit
    {
        if ($rule === Rule::AllOrNothing) {
            return Credit::when(count($right) === count($weights));
        }
        $share = BigRational::zero();
        foreach ($right as $id) {
            $share = $share->plus($weights[$id]);
        }

        return Credit::of($share->simplified());
    }
}
