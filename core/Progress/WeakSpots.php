<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

use Uplandia\Core\Assembly\Allocation;

/**
 * A test of one's weak spots: topics by what they cost, in each what is overdue first, then what is new and neither
 * too
 * easy nor too hard, then the least recently seen. Source: computation.md, section 12.
 */
final readonly class WeakSpots
{
    /** Of what costs, so much of its weight is added, so that no topic is forgotten. */
    private const NOT_FORGOTTEN = 0.1;

    /** New questions are taken nearest to where one would be right with this chance. */
    public const AIMED_AT = 0.7;

    /** Weights are told as exact fractions of so many parts. */
    private const PARTS = 1_000_000;

    /**
     * @param  list<float>  $weights  of the blueprint, by topic
     * @param  list<float|null>  $mastery  null: nothing is there to be mastered
     * @return list<int> exact weights for an allocation
     */
    public static function weights(array $weights, array $mastery, float $cut, bool $enoughEvidence): array
    {
        $exact = [];
        foreach ($weights as $t => $weight) {
            $stake =
                $enoughEvidence && $mastery[$t] !== null
                    ? PointsAtStake::of($weight, $cut, $mastery[$t]) + self::NOT_FORGOTTEN * $weight
                    : $weight;
            $exact[] = (int) round(self::PARTS * $stake);
        }

        return $exact;
    }

    /**
     * How many questions each topic gives.
     *
     * @param  list<int>  $weights
     * @param  list<int>  $available  questions, by topic
     * @return list<int>
     */
    public static function counts(int $n, array $weights, array $available): array
    {
        return Allocation::of($n, $weights, $available)->counts;
    }

    /**
     * Which of a topic's units, given how many questions it is to give.
     *
     * @param  list<Spot>  $spots
     * @return list<Spot> together at most so many questions
     */
    public static function take(int $n, array $spots, float $theta): array
    {
        $overdue = array_values(array_filter($spots, static fn (Spot $spot): bool => $spot->overdue !== null));
        $new = array_values(
            array_filter($spots, static fn (Spot $spot): bool => $spot->overdue === null && $spot->seen === null),
        );
        usort($overdue, static fn (Spot $a, Spot $b): int => [$b->overdue, $a->id] <=> [$a->overdue, $b->id]);
        usort(
            $new,
            static fn (Spot $a, Spot $b): int => [self::off($a, $theta), $a->id] <=> [self::off($b, $theta), $b->id],
        );
        $most = intdiv($n * 3, 5);
        $taken = self::fill([], $overdue, $most);
        $taken = self::fill($taken, $new, $n);
        // Whatever is left, overdue or not: the least recently seen first.
        $rest = array_values(array_filter($spots, static fn (Spot $spot): bool => ! isset($taken[$spot->id])));
        usort($rest, static fn (Spot $a, Spot $b): int => [$a->seen ?? 0, $a->id] <=> [$b->seen ?? 0, $b->id]);

        return array_values(self::fill($taken, $rest, $n));
    }

    /** How far the chance of being right is from what is aimed at. */
    private static function off(Spot $spot, float $theta): float
    {
        return abs($spot->c + (1 - $spot->c) / (1 + exp($spot->b - $theta)) - self::AIMED_AT);
    }

    /**
     * @param  array<int, Spot>  $taken  by id
     * @param  list<Spot>  $spots  in order
     * @return array<int, Spot>
     */
    private static function fill(array $taken, array $spots, int $most): array
    {
        $n = array_sum(array_column($taken, 'size'));
        foreach ($spots as $spot) {
            if ($n + $spot->size <= $most && ! isset($taken[$spot->id])) {
                $taken[$spot->id] = $spot;
                $n += $spot->size;
            }
        }

        return $taken;
    }
}
