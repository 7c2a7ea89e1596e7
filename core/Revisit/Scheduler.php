<?php

declare(strict_types=1);

namespace Uplandia\Core\Revisit;

/**
 * When a question should come back: FSRS-6 with its default weights, long-term scheduler, retention 0.9, no fuzz.
 * Source: the open algorithm FSRS-6 (Ye, Su & Cao 2022 and later); computation.md, section 9.
 *
 * Example: Good on day 0 → stability 2.3065, difficulty 2.1181; Good 3 days later → 13.8269, 2.1112.
 */
final class Scheduler
{
    private const W = [
        0.212,
        1.2931,
        2.3065,
        8.2956,
        6.4133,
        0.8334,
        3.0194,
        0.001,
        1.8722,
        0.1666,
        0.796,
        1.4835,
        0.0614,
        0.2629,
        1.6483,
        0.6014,
        1.8729,
        0.5425,
        0.0912,
        0.0658,
        0.1542,
    ];

    private const LEAST_STABILITY = 0.001;

    /** As the published algorithm has it. */
    private const MOST_DAYS = 36_500;

    private const RETENTION = 0.9;

    public static function first(Grade $grade): Memory
    {
        return new Memory(self::W[$grade->value - 1], self::clamped(self::startingDifficulty($grade)));
    }

    /** @param  float  $days  since the last look, not negative */
    public static function next(Memory $memory, Grade $grade, float $days): Memory
    {
        $recall = self::recall($memory, $days);
        $stability =
            $grade === Grade::Lost ? self::forgotten($memory, $recall) : self::recalled($memory, $grade, $recall);

        return new Memory(max(self::LEAST_STABILITY, $stability), self::nextDifficulty($memory->difficulty, $grade));
    }

    /** The chance of recall after so many days, 0 to 1. */
    public static function recall(Memory $memory, float $days): float
    {
        return (1 + (self::factor() * max(0.0, $days)) / $memory->stability) ** -self::W[20];
    }

    /**
     * Days until it should come back: the stability, rounded; at least one, at most a hundred years, and never past
     * the day before the exam.
     *
     * @param  int|null  $daysToExam  null: no date is set
     */
    public static function interval(Memory $memory, ?int $daysToExam = null): int
    {
        $days = (int) max(1, min(self::MOST_DAYS, round($memory->stability)));

        return $daysToExam === null ? $days : max(1, min($days, $daysToExam - 1));
    }

    private static function factor(): float
    {
        return self::RETENTION ** (-1 / self::W[20]) - 1;
    }

    private static function startingDifficulty(Grade $grade): float
    {
        return self::W[4] - exp(self::W[5] * ($grade->value - 1)) + 1;
    }

    private static function nextDifficulty(float $difficulty, Grade $grade): float
    {
        $moved = $difficulty - (self::W[6] * ($grade->value - 3) * (10 - $difficulty)) / 9;

        return self::clamped(self::W[7] * self::startingDifficulty(Grade::Easy) + (1 - self::W[7]) * $moved);
    }

    private static function recalled(Memory $memory, Grade $grade, float $recall): float
    {
        $growth =
            exp(self::W[8]) *
            (11 - $memory->difficulty) *
            $memory->stability ** -self::W[9] *
            (exp(self::W[10] * (1 - $recall)) - 1);
        $growth *= match ($grade) {
            Grade::Hard => self::W[15],
            Grade::Easy => self::W[16],
            default => 1.0,
        };

        return $memory->stability * (1 + $growth);
    }

    private static function forgotten(Memory $memory, float $recall): float
    {
        $left =
            self::W[11] *
            $memory->difficulty ** -self::W[12] *
            (($memory->stability + 1) ** self::W[13] - 1) *
            exp(self::W[14] * (1 - $recall));

        return min($left, $memory->stability / exp(self::W[17] * self::W[18]));
    }

    private static function clamped(float $difficulty): float
    {
        return min(10.0, max(1.0, $difficulty));
    }
}
