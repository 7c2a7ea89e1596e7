<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

/**
 * Reads what somebody types into a search: words, "phrases", prefix*, -without. Any text is a search; what holds no
 * letter and no figure finds everything.
 */
final readonly class SearchText
{
    private const MOST_TERMS = 20;

    /** @param  list<SearchTerm>  $terms  all of which must be met */
    private function __construct(public array $terms)
    {
    }

    public static function of(string $text): self
    {
        $found = preg_match_all('/([-−–]?)(?:"([^"]*)"?|([^\s"]+))/u', $text, $parts, PREG_SET_ORDER);
        $terms = [];
        foreach ($found === false ? [] : $parts as $part) {
            $words = self::words(($part[2] ?? '').($part[3] ?? ''));
            if ($words !== [] && count($terms) < self::MOST_TERMS) {
                $terms[] = new SearchTerm($words, str_ends_with($part[3] ?? '', '*'), $part[1] !== '');
            }
        }

        return new self($terms);
    }

    public function isEmpty(): bool
    {
        return $this->terms === [];
    }

    /** @return list<string> */
    private static function words(string $text): array
    {
        $words = preg_split('/[^\p{L}\p{N}\p{M}]+/u', mb_strtolower($text), -1, PREG_SPLIT_NO_EMPTY);

        return $words === false ? [] : $words;
    }
}
