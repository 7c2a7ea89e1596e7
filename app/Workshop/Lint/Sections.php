<?php

declare(strict_types=1);

namespace App\Workshop\Lint;

/** Whether a handbook says enough, not too much, and what questions refer to. */
final class Sections
{
    /** Words of a section, pictures apart. */
    private const FEWEST_WORDS = 250;

    private const MOST_WORDS = 450;

    /** Questions that refer to it: what no question needs, nobody reads. */
    private const FEWEST_QUESTIONS = 2;

    /**
     * @param  list<array{code: string, title: string, body: string, ...}>  $sections
     * @param  list<array<mixed>>  $questions
     * @return list<string>
     */
    public static function faults(array $sections, array $questions): array
    {
        $faults = [];
        $references = array_merge([], ...array_map(
            fn (array $question): array => array_unique((array) ($question['references'] ?? [])),
            $questions,
        ));
        $referring = array_count_values(array_map(strval(...), $references));
        foreach ($sections as ['code' => $code, 'title' => $title, 'body' => $body]) {
            if ($title === '') {
                $faults[] = "Handbook section {$code} has no title.";
            }
            $words = self::words($body);
            if ($words < self::FEWEST_WORDS || $words > self::MOST_WORDS) {
                $faults[] = "Handbook section {$code} has {$words} words; between ".self::FEWEST_WORDS.' and '
                    .self::MOST_WORDS.' can be studied.';
            }
            $asked = $referring[$code] ?? 0;
            if ($asked < self::FEWEST_QUESTIONS) {
                $faults[] = "Handbook section {$code} is referred to by {$asked} questions; "
                    .self::FEWEST_QUESTIONS.' are the fewest.';
            }
        }
        foreach (array_diff(array_keys($referring), array_column($sections, 'code')) as $dead) {
            $faults[] = "References name the handbook section \"{$dead}\", which does not exist.";
        }

        return $faults;
    }

    private static function words(string $body): int
    {
        $prose = (string) preg_replace('/!\[.*?\]\(.*?\)/s', '', $body);

        return count(preg_split('/\s+/u', $prose, -1, PREG_SPLIT_NO_EMPTY) ?: []);
    }
}
