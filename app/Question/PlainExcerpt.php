<?php

declare(strict_types=1);

namespace App\Question;

/** The beginning of a Markdown text as plain words, for lists and labels. */
final class PlainExcerpt
{
    private const LETTERS = 110;

    private const PICTURES = '/!\[[^\]]*\]\((?:[^()"]|"[^"]*")*\)/';

    private const SIGNS = '/[*_`>#|]|\$/';

    public static function of(string $markdown, int $letters = self::LETTERS): string
    {
        $text = (string) preg_replace('/\[\[\w+\]\]/', '…', $markdown);
        $text = (string) preg_replace([self::PICTURES, self::SIGNS], '', $text);
        $text = trim((string) preg_replace('/\s+/', ' ', $text));

        return mb_strlen($text) <= $letters ? $text : rtrim(mb_substr($text, 0, $letters)).'…';
    }
}
