<?php

declare(strict_types=1);

namespace Uplandia\Core\Marking;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;

/**
 * Reads a number as people write it: `1,250.5`, `1 250,5`, `1.2505e3`, `5/4`, `−3`.
 *
 * Of two kinds of separator the last is the decimal one. A lone comma with exactly three digits behind it groups
 * thousands (`1,250` is 1250), unless what stands before it is 0 (`0,125` is an eighth).
 */
final class NumberText
{
    /** An exponent beyond this is no measurement, and would cost memory. */
    private const LARGEST_EXPONENT = 60;

    /** @return BigRational|null null when the text is not a number */
    public static function parse(string $text): ?BigRational
    {
        $plain = str_replace(['_', '\'', '−', '–'], [' ', ' ', '-', '-'], PlainText::collapsed($text));
        $plain = preg_replace('/\s*\/\s*/', '/', $plain) ?? '';
        $parts = explode('/', $plain);
        if (count($parts) === 1) {
            return self::decimal($plain);
        }
        if (count($parts) !== 2) {
            return null;
        }
        $over = self::decimal($parts[0]);
        $under = self::decimal($parts[1]);

        return $over === null || $under === null || $under->getSign() === 0
            ? null
            : $over->dividedBy($under)->simplified();
    }

    private static function decimal(string $text): ?BigRational
    {
        if (
            strlen($text) > 100 ||
            preg_match('/^([+-]?)\s?([\d.,\s]*\d[\d.,]*)(?:[eE]([+-]?\d{1,3}))?$/', $text, $match) !== 1
        ) {
            return null;
        }
        $exponent = (int) ($match[3] ?? 0);
        $digits = self::withPoint($match[2]);
        if ($digits === null || abs($exponent) > self::LARGEST_EXPONENT) {
            return null;
        }

        return BigDecimal::of("{$match[1]}{$digits}e{$exponent}")->toBigRational();
    }

    /** The digits with `.` as decimal point and nothing else between them, or null. */
    private static function withPoint(string $text): ?string
    {
        $comma = substr_count($text, ',');
        $point = substr_count($text, '.');
        $decimal = match (true) {
            $comma > 0 && $point > 0 => strrpos($text, ',') > strrpos($text, '.') ? ',' : '.',
            $comma === 1 => self::commaGroups($text) ? '' : ',',
            $point === 1 => '.',
            default => '',
        };
        $cut = $decimal === '' ? false : strrpos($text, $decimal);
        $whole = $cut === false ? $text : substr($text, 0, $cut);
        $rest = $cut === false ? '' : substr($text, $cut + 1);
        if (
            preg_match('/^\d*$/', $rest) !== 1 ||
            preg_match('/^(\d*|\d{1,3}(?:([,. ])\d{3})(?:\2\d{3})*)$/', $whole) !== 1
        ) {
            return null;
        }
        $whole = preg_replace('/\D/', '', $whole) ?? '';
        if ($whole === '' && $rest === '') {
            return null;
        }

        return ($whole === '' ? '0' : $whole).($rest === '' ? '' : ".{$rest}");
    }

    private static function commaGroups(string $text): bool
    {
        return preg_match('/^[1-9]\d{0,2},\d{3}$/', $text) === 1;
    }
}
