<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

/** What is believed of a candidate before any answer: θ_0 ~ N(mean, deviation²) of the cohort, δ_t ~ N(0, 0.5²). */
final readonly class Prior
{
    public const TOPIC_DEVIATION = 0.5;

    public function __construct(
        public float $mean = 0.0,
        public float $deviation = 1.0,
        public float $topicDeviation = self::TOPIC_DEVIATION,
    ) {
    }
}
