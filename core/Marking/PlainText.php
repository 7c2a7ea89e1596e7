<?php

declare(strict_types=1);

namespace Uplandia\Core\Marking;

use Normalizer;

/** What is left of typed text once that which nobody can see is gone. Source: computation.md, section 1. */
final class PlainText
{
    /** All Unicode white space, no-break and zero-width included. */
    private const WHITE = '[\s\p{Z}\x{0085}\x{180E}\x{200B}-\x{200D}\x{2060}\x{FEFF}]';

    public static function trim(string $text): string
    {
        return preg_replace('/^'.self::WHITE.'+|'.self::WHITE.'+$/u', '', $text) ?? trim($text);
    }

    public static function isEmpty(string $text): bool
    {
        return self::trim($text) === '';
    }

    /** Trimmed, every run of white space one plain space. */
    public static function collapsed(string $text): string
    {
        return preg_replace('/'.self::WHITE.'+/u', ' ', self::trim($text)) ?? $text;
    }

    /** NFKC: Greek and micro μ are one, and so are ² and 2. */
    public static function compatible(string $text): string
    {
        return self::normalized($text, Normalizer::FORM_KC);
    }

    /** In a form of `Normalizer`; text that has none stays as it is. */
    public static function normalized(string $text, int $form): string
    {
        $normal = Normalizer::normalize($text, $form);

        return is_string($normal) ? $normal : $text;
    }
}
