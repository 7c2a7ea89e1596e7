<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use Uplandia\Core\Exact;

/**
 * How many questions each topic gives: largest remainder (Hamilton 1792), ties to the earlier topic, capped by what
 * there is; what a cap frees goes round again by the same rule. Source: computation.md, section 3.
 *
 * Example: 20 over weights 30, 25, 20, 15, 10 → 6, 5, 4, 3, 2; with 3, 99, 99, 99, 1 available → 3, 7, 5, 4, 1.
 */
final readonly class Allocation
{
    /**
     * @param  list<int>  $counts  in the order of the topics
     * @param  int  $short  how many of those asked for could not be given
     */
    private function __construct(public array $counts, public int $short)
    {
    }

    /**
     * @param  int  $n  questions wanted, not negative
     * @param  list<int|string>  $weights  exact and not negative ("4.5", "1/3"); a topic of weight 0 gives none
     * @param  list<int>  $available  questions there are, in the same order
     *
     * @throws InvalidRecipe
     */
    public static function of(int $n, array $weights, array $available): self
    {
        if ($n < 0 || count($weights) !== count($available)) {
            throw InvalidRecipe::because(
                'An allocation needs a number of questions that is not negative, and one availability for each weight.',
            );
        }
        $weights = self::wholeNumbers($weights);
        $counts = array_fill(0, count($weights), 0);
        $left = $n;
        while ($left > 0) {
            $open = array_keys(
                array_filter(
                    $weights,
                    static fn (BigInteger $weight, int $i): bool => $weight->getSign() > 0 &&
                        $counts[$i] < $available[$i],
                    ARRAY_FILTER_USE_BOTH,
                ),
            );
            if ($open === []) {
                break;
            }
            foreach (self::round($left, $open, $weights) as $i => $share) {
                $given = min($share, $available[$i] - $counts[$i]);
                $counts[$i] += $given;
                $left -= $given;
            }
        }

        return new self(array_values($counts), $left);
    }

    /**
     * One round without caps.
     *
     * @param  list<int>  $open  topics that have room
     * @param  array<int, BigInteger>  $weights
     * @return array<int, int> topic => share, adding up to n
     */
    private static function round(int $n, array $open, array $weights): array
    {
        $sum = BigInteger::sum(...array_map(static fn (int $i): BigInteger => $weights[$i], $open));
        $shares = $remainders = [];
        foreach ($open as $i) {
            [$floor, $remainders[$i]] = $weights[$i]->multipliedBy($n)->quotientAndRemainder($sum);
            $shares[$i] = $floor->toInt();
        }
        uksort(
            $remainders,
            static fn (int $a, int $b): int => $remainders[$b]->compareTo($remainders[$a]) ?: $a <=> $b,
        );
        foreach (array_slice(array_keys($remainders), 0, $n - array_sum($shares)) as $i) {
            $shares[$i]++;
        }

        return $shares;
    }

    /**
     * The same proportions in whole numbers.
     *
     * @param  list<int|string>  $weights
     * @return array<int, BigInteger>
     */
    private static function wholeNumbers(array $weights): array
    {
        $exact = array_map(
            static fn (int|string $weight): BigRational => Exact::parse($weight) ??
                throw InvalidRecipe::because('A weight must be an exact number.', 'not_exact'),
            $weights,
        );
        $common = BigInteger::one();
        foreach ($exact as $weight) {
            if ($weight->getSign() < 0) {
                throw InvalidRecipe::because('A weight cannot be negative.');
            }
            $common = $common
                ->multipliedBy($weight->getDenominator())
                ->quotient($common->gcd($weight->getDenominator()));
        }

        return array_map(
            static fn (BigRational $weight): BigInteger => $weight->multipliedBy($common)->toBigInteger(),
            $exact,
        );
    }
}
