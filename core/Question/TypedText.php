<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Normalizer;
use Uplandia\Core\Marking\PlainText;

/** Compares a typed answer with those accepted (computation.md, section 1). */
final class TypedText
{
    private const SLIP_FROM_LETTERS = 5;

    public static function matches(string $typed, Gap $gap): bool
    {
        $typed = self::normal($typed, $gap->stripAccents);
        foreach ($gap->accepted as $answer) {
            $answer = self::normal($answer, $gap->stripAccents);
            if ($typed === $answer) {
                return true;
            }
            if (
                $gap->allowSlip &&
                self::letters($answer) >= self::SLIP_FROM_LETTERS &&
                self::withinOneSlip($typed, $answer)
            ) {
                return true;
            }
        }

        return false;
    }

    /** Trimmed, spaces collapsed, NFKC, case folded, accents stripped if asked for. */
    public static function normal(string $text, bool $stripAccents = false): string
    {
        $folded = mb_convert_case(PlainText::compatible(PlainText::collapsed($text)), MB_CASE_FOLD, 'UTF-8');
        $text = PlainText::compatible($folded);
        if (! $stripAccents) {
            return $text;
        }
        $bare = preg_replace('/\p{Mn}+/u', '', PlainText::normalized($text, Normalizer::FORM_D)) ?? $text;

        return PlainText::compatible($bare);
    }

    /** One letter more, one less, one other, or two neighbours swapped (Damerau 1964). */
    public static function withinOneSlip(string $a, string $b): bool
    {
        $a = mb_str_split($a);
        $b = mb_str_split($b);
        if (count($a) > count($b)) {
            [$a, $b] = [$b, $a];
        }
        if (count($b) - count($a) > 1) {
            return false;
        }
        $i = 0;
        while ($i < count($a) && $a[$i] === $b[$i]) {
            $i++;
        }
        if (count($a) < count($b)) {
            return array_slice($a, $i) === array_slice($b, $i + 1);
        }
        $swapped =
            isset($a[$i + 1], $b[$i + 1]) &&
            $a[$i] === $b[$i + 1] &&
            $a[$i + 1] === $b[$i] &&
            array_slice($a, $i + 2) === array_slice($b, $i + 2);

        return $swapped || array_slice($a, $i + 1) === array_slice($b, $i + 1);
    }

    private static function letters(string $text): int
    {
        return (int) preg_match_all('/\p{L}/u', $text);
    }
}
