<?php

declare(strict_types=1);

namespace Uplandia\Core;

use Brick\Math\BigRational;

/** Reads exact numbers from outside: whole, decimal or a fraction, and nothing that would cost memory to write out. */
final class Exact
{
    /** @return BigRational|null null when it is not an exact number; "1e50" is none, "1/3", "0.25" and 7 are */
    public static function parse(mixed $value): ?BigRational
    {
        if ($value instanceof BigRational || is_int($value)) {
            return BigRational::of($value);
        }
        if (! is_string($value) || preg_match('~^[+-]?\d{1,40}(?:\.\d{1,40}|/0*[1-9]\d{0,39})?$~D', $value) !== 1) {
            return null;
        }

        return BigRational::of($value)->simplified();
    }
}
