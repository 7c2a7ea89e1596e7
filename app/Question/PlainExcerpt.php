<?php

declare(strict_types=1);

namespace App\Question;

/** The beginning of a Markdown text as plain words, for lists and labels. */
final class PlainExcerpt
{
    private const LETTERS = 110;

    private const PICTURES = '/!\[[^\]]*\]\((?:[^()"]|"[^"]*")*\)/';

    private const SIGNS = '/[*_`>#|]|\$/';

    /** A formula, in a line or by itself. */
    private const FORMULAS = '/\$\$(.+?)\$\$|\$([^\s$](?:[^$]*?[^\s$])?)\$/s';

    /** In which the signs of a formula are no marks of Markdown. */
    private const HELD = ['*' => "\x01", '_' => "\x02", '`' => "\x03", '>' => "\x04", '#' => "\x05", '|' => "\x06"];

    /** The line between the head of a table and its rows. */
    private const RULES = '/^\s*\|?[\s:|-]*--[\s:|-]*$/m';

    private const ROWS = '/^\s*\|.*$/m';

    /** Its beginning, in so many letters. A table tells nothing in one line, unless there is nothing else. */
    public static function of(string $markdown, int $letters = self::LETTERS): string
    {
        $text = self::whole((string) preg_replace(self::ROWS, '', $markdown));
        $text = $text === '' ? self::whole($markdown) : $text;

        return mb_strlen($text) <= $letters ? $text : rtrim(mb_substr($text, 0, $letters)).'…';
    }

    /** All of it in one line, tables too. */
    public static function whole(string $markdown): string
    {
        $text = (string) preg_replace('/\[\[\w+\]\]/', '…', $markdown);
        $text = (string) preg_replace_callback(
            self::FORMULAS,
            fn (array $found): string => strtr(TexWords::of(end($found)), self::HELD),
            $text,
        );
        $text = (string) preg_replace([self::PICTURES, self::RULES, self::SIGNS], '', $text);

        return trim((string) preg_replace('/\s+/', ' ', strtr($text, array_flip(self::HELD))));
    }
}
