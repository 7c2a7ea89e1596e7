<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

/** Shows where in a text a search has found something. */
final readonly class TextHits
{
    /** Letters of what is shown around the first hit. */
    private const AROUND = 60;

    private const MOST = 160;

    public function __construct(private SearchText $search)
    {
    }

    /** Some words around the first hit; the beginning where there is none. */
    public function around(string $text): string
    {
        $text = trim((string) preg_replace('/\s+/u', ' ', $text));
        $at = false;
        foreach ($this->search->terms as $term) {
            $at = $term->without || $at !== false ? $at : self::first($text, $term->words[0]);
        }
        $from = max(0, (int) $at - self::AROUND);
        // Not in the middle of a word.
        $from = $from === 0 ? 0 : (int) mb_strpos($text, ' ', $from) + 1;
        $part = mb_substr($text, $from, self::MOST);

        return ($from === 0 ? '' : '…').rtrim($part).($from + self::MOST < mb_strlen($text) ? '…' : '');
    }

    /** Where a word begins, or else one of the same stem: its end may be another. */
    private static function first(string $text, string $word): int|false
    {
        foreach ([$word, mb_substr($word, 0, max(4, mb_strlen($word) - 3))] as $beginning) {
            $at = mb_stripos($text, $beginning);
            if ($at !== false) {
                return $at;
            }
        }

        return false;
    }
}
