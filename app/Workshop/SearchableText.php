<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Question\PlainExcerpt;

/**
 * What of a question can be found by its words: only what a candidate may see.
 *
 * @phpstan-import-type Entry from QuestionEntry
 */
final class SearchableText
{
    private const LONGEST = 20_000;

    /**
     * @param  Entry  $entry
     * @param  array<mixed>  $unit  what its unit shows
     * @return array{stem: string, parts: string, exhibits: string, topic: string, tags: string}
     */
    public static function of(array $entry, string $topic, array $unit): array
    {
        $shown = $entry['shown'];

        return [
            'stem' => self::plain([$shown['stem'] ?? '']),
            'parts' => self::plain(array_diff_key($shown, ['stem' => 0, 'picture' => 0])),
            'exhibits' => self::plain($unit),
            'topic' => $topic,
            'tags' => implode(' ', $entry['tags']),
        ];
    }

    /** @param  array<mixed>  $texts */
    private static function plain(array $texts): string
    {
        $found = [];
        array_walk_recursive($texts, function (mixed $value, string|int $name) use (&$found): void {
            if (is_string($value) && $name !== 'id') {
                $found[] = PlainExcerpt::of($value, self::LONGEST);
            }
        });

        return implode("\n", $found);
    }
}
