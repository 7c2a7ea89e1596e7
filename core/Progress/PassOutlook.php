<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

use Uplandia\Core\Statistics\Interval;
use Uplandia\Core\Statistics\Normal;
use Uplandia\Core\Statistics\Wilson;

/**
 * The estimated chance of passing today. Source: computation.md, section 8.
 *
 * M = Σ n_t p_t, V = gᵀCg + Σ n_t p_t(1 − p_t), P = 1 − Φ((k − ½ − M)/√V).
 */
final readonly class PassOutlook
{
    private function __construct(
        /** 0 to 1. */
        public float $chance,
        /** The chance at both ends of the 80 % band of ability, widened where needed so that the chance lies in it. */
        public Interval $range,
        /** Questions expected right, and the standard deviation of that. */
        public float $expected,
        public float $deviation,
    ) {
    }

    /**
     * @param  list<int>  $questions  of the exam, by topic
     * @param  int  $needed  right answers that pass
     * @param  list<Mastery>  $mastery  by topic
     */
    public static function of(Ability $ability, array $questions, int $needed, array $mastery): self
    {
        [$expected, $luck, $doubt] = self::moments(
            ability: $ability,
            questions: $questions,
            mastery: $mastery,
            shares: array_column($mastery, 'share'),
        );
        $deviation = sqrt($doubt + $luck);
        $chance = static fn (float $mean, float $deviation): float => self::chance($needed, $mean, $deviation);
        $reach = Wilson::Z80 * sqrt($doubt);

        $today = $chance($expected, $deviation);
        $low = $chance($expected - $reach, sqrt($luck));
        $high = $chance($expected + $reach, sqrt($luck));

        return new self(
            chance: $today,
            // The chance itself weighs all of the doubt, so it can lie outside the two ends: the range reaches to it.
            range: new Interval(min($low, $today), max($high, $today)),
            expected: $expected,
            deviation: $deviation,
        );
    }

    /**
     * What would move it most: for each topic, how much the chance rises if its mastery came up to the target, all
     * else as it is.
     *
     * @param  list<int>  $questions  of the exam, by topic
     * @param  list<Mastery>  $mastery  by topic
     * @param  float  $target  share, such as the cut and five hundredths
     * @return list<float> by topic; 0 where the target is reached
     */
    public static function levers(
        Ability $ability,
        array $questions,
        int $needed,
        array $mastery,
        float $target,
    ): array {
        $shares = array_map(static fn (Mastery $topic): float => $topic->share, $mastery);
        $today = self::chanceAt(
            ability: $ability,
            questions: $questions,
            needed: $needed,
            mastery: $mastery,
            shares: $shares,
        );
        $levers = [];
        foreach ($shares as $topic => $share) {
            $moved = $shares;
            $moved[$topic] = $target;
            $levers[] = $share >= $target
                ? 0.0
                : self::chanceAt(
                    ability: $ability,
                    questions: $questions,
                    needed: $needed,
                    mastery: $mastery,
                    shares: array_values($moved),
                ) - $today;
        }

        return $levers;
    }

    /**
     * @param  list<int>  $questions
     * @param  list<Mastery>  $mastery
     * @param  list<float>  $shares  by topic
     */
    private static function chanceAt(
        Ability $ability,
        array $questions,
        int $needed,
        array $mastery,
        array $shares,
    ): float {
        [$expected, $luck, $doubt] = self::moments(
            ability: $ability,
            questions: $questions,
            mastery: $mastery,
            shares: $shares,
        );

        return self::chance($needed, $expected, sqrt($doubt + $luck));
    }

    /**
     * @param  list<int>  $questions
     * @param  list<Mastery>  $mastery
     * @param  list<float>  $shares  by topic
     * @return array{float, float, float} M, Σ n p(1 − p) and gᵀCg
     */
    private static function moments(Ability $ability, array $questions, array $mastery, array $shares): array
    {
        $expected = $luck = 0.0;
        $g = [];
        foreach ($questions as $t => $n) {
            $expected += $n * $shares[$t];
            $luck += $n * $shares[$t] * (1 - $shares[$t]);
            $g[] = $n * $mastery[$t]->slope;
        }

        return [$expected, $luck, $ability->varianceAlong($g)];
    }

    private static function chance(int $needed, float $mean, float $deviation): float
    {
        if ($deviation <= 0) {
            return $mean >= $needed - 0.5 ? 1.0 : 0.0;
        }

        return 1 - Normal::cdf(($needed - 0.5 - $mean) / $deviation);
    }
}
