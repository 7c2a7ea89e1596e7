<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

/**
 * An answer given faster than a question can be read: under max(3 s, 10 % of the cohort's median time)
 * (Wise & Kong 2005, normative threshold). It earns its marks and tells nothing else. Source: computation.md, section
 * 7.
 */
final class RapidGuess
{
    private const FASTEST_MS = 3000;

    private const SHARE_OF_MEDIAN = 0.1;

    /** @param  float|null  $medianMs  of the cohort on this question; null: not known */
    public static function is(int $ms, ?float $medianMs): bool
    {
        return $ms < max(self::FASTEST_MS, self::SHARE_OF_MEDIAN * ($medianMs ?? 0.0));
    }
}
