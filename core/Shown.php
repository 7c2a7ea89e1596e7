<?php

declare(strict_types=1);

namespace Uplandia\Core;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** Exact values become decimals only here: half up, at most two places. */
final class Shown
{
    /** Example: 7/3 → "2.33", 2 → "2", −1/2 → "-0.5". */
    public static function decimal(BigRational $value): string
    {
        $text = (string) $value->toScale(2, RoundingMode::HALF_UP);

        return rtrim(rtrim($text, '0'), '.');
    }

    /**
     * A share as a whole percentage, half up; with one place where that alone would hide on which side of the cut it
     * lies. Example: 2/3 → "67"; 0.648 against 0.65 → "64.8".
     */
    public static function wholePercent(BigRational $share, ?BigRational $cut = null): string
    {
        $percent = $share->multipliedBy(100);
        $whole = $percent->toScale(0, RoundingMode::HALF_UP);
        $cutWhole = $cut?->multipliedBy(100)->toScale(0, RoundingMode::HALF_UP);
        if ($cut === null || $cutWhole === null || $share->isEqualTo($cut) || ! $whole->isEqualTo($cutWhole)) {
            return (string) $whole;
        }

        return (string) $percent->toScale(1, $share->isLessThan($cut) ? RoundingMode::DOWN : RoundingMode::UP);
    }

    /** How many there are of something, in words. Example: 1, "mark", "marks" → "1 mark". */
    public static function count(int $n, string $one, string $many): string
    {
        return "{$n} ".($n === 1 ? $one : $many);
    }

    /** A share as a percentage with at most two places. Example: 2/3 → "66.67". */
    public static function percent(BigRational $share): string
    {
        return self::decimal($share->multipliedBy(100));
    }
}
