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

    /** A share as a percentage with at most two places. Example: 2/3 → "66.67". */
    public static function percent(BigRational $share): string
    {
        return self::decimal($share->multipliedBy(100));
    }
}
