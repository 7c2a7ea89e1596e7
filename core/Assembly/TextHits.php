<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

/** Finds a search in a few texts that are read whole, such as the pages of a handbook. */
final readonly class TextHits
{
    /** Letters of what is shown around the first hit. */
    private const AROUND = 60;

    private const MOST = 160;

    public function __construct(private SearchText $search)
    {
    }

    /** Whether all that is asked for is in it, and nothing that is not wanted. An empty search finds nothing. */
    public function finds(string $text): bool
    {
        $words = self::words($text);
        $asked = false;
        foreach ($this->search->terms as $term) {
            $asked = $asked || ! $term->without;
            if (str_contains($words, self::phrase($term)) === $term->without) {
                return false;
            }
        }

        return $asked;
    }

    /** Some words around the first hit; the beginning where there is none. */
    public function around(string $text): string
    {
        $text = trim((string) preg_replace('/\s+/u', ' ', $text));
        $at = false;
        foreach ($this->search->terms as $term) {
            $at = $term->without || $at !== false ? $at : mb_stripos($text, $term->words[0]);
        }
        $from = max(0, (int) $at - self::AROUND);
        // Not in the middle of a word.
        $from = $from === 0 ? 0 : (int) mb_strpos($text, ' ', $from) + 1;
        $part = mb_substr($text, $from, self::MOST);

        return ($from === 0 ? '' : '…').rtrim($part).($from + self::MOST < mb_strlen($text) ? '…' : '');
    }

    private static function words(string $text): string
    {
        return ' '.trim((string) preg_replace('/[^\p{L}\p{N}\p{M}]+/u', ' ', mb_strtolower($text))).' ';
    }

    private static function phrase(SearchTerm $term): string
    {
        return ' '.implode(' ', $term->words).($term->prefix ? '' : ' ');
    }
}
