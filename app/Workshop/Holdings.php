<?php

declare(strict_types=1);

namespace App\Workshop;

use App\Media\Shelf;

/**
 * What a question holds beside words, of what a candidate may see of it.
 *
 * @phpstan-import-type Entry from QuestionEntry
 */
final class Holdings
{
    /**
     * @param  Entry  $entry
     * @param  array<mixed>  $unit  what its unit shows
     * @return list<string> of picture, sound, film, table and exhibits
     */
    public static function of(array $entry, array $unit): array
    {
        $texts = self::texts($entry['shown']);
        // Named as authors do ("map.svg") or, once they are kept, by an address ("/media/….svg").
        preg_match_all('/!\[[^\]]*\]\([^\s)"]*\.(\w+)/', $texts.self::texts($unit), $found);
        $media = array_map(fn (string $type): string => explode('/', Shelf::TYPES[$type] ?? '')[0], $found[1]);
        $holds = [
            'picture' => $entry['kind'] === 'picture' || in_array('image', $media, true),
            'sound' => in_array('audio', $media, true),
            'film' => in_array('video', $media, true),
            'table' => preg_match('/^\s*\|?\s*:?-{2,}.*\|/m', $texts) === 1,
            'exhibits' => ($unit['exhibits'] ?? []) !== [],
        ];

        return array_keys(array_filter($holds));
    }

    /** @param  array<mixed>  $shown */
    private static function texts(array $shown): string
    {
        $texts = '';
        array_walk_recursive($shown, function (mixed $text) use (&$texts): void {
            $texts .= is_string($text) ? "{$text}\n" : '';
        });

        return $texts;
    }
}
