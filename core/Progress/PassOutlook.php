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
        $expected = $luck = 0.0;
        $g = [];
        foreach ($questions as $t => $n) {
            $share = $mastery[$t]->share;
            $expected += $n * $share;
            $luck += $n * $share * (1 - $share);
            $g[] = $n * $mastery[$t]->slope;
        }
        $doubt = $ability->varianceAlong($g);
        $deviation = sqrt($doubt + $luck);
        $chance = static fn (float $mean, float $deviation): float => $deviation <= 0
            ? ($mean >= $needed - 0.5
                ? 1.0
                : 0.0)
            : 1 - Normal::cdf(($needed - 0.5 - $mean) / $deviation);
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
}
