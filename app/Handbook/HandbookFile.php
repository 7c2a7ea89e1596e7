<?php

declare(strict_types=1);

namespace App\Handbook;

/**
 * Reads a chapter of a handbook: a Markdown file with `# Chapter` at its head and sections that begin `## code:
 * Title`.
 *
 * @phpstan-type Section array{code: string, chapter: string, title: string, body: string}
 */
final class HandbookFile
{
    /**
     * @return list<Section>
     */
    public static function read(string $file): array
    {
        $text = str_replace("\r\n", "\n", (string) file_get_contents($file));
        $chapter = preg_match('/^# (.+)$/m', $text, $match) === 1 ? trim($match[1]) : basename($file, '.md');
        $sections = [];
        foreach (array_slice(preg_split('/^## /m', $text) ?: [], 1) as $part) {
            [$head, $body] = explode("\n", $part, 2) + [1 => ''];
            [$code, $title] = array_map(trim(...), explode(':', $head, 2)) + [1 => ''];
            $sections[] = ['code' => $code, 'chapter' => $chapter, 'title' => $title, 'body' => trim($body)];
        }

        return $sections;
    }

    /**
     * All chapters of a folder, in the order of their names.
     *
     * @return list<Section>
     */
    public static function folder(string $folder): array
    {
        return array_merge([], ...array_map(self::read(...), glob("{$folder}/*.md") ?: []));
    }
}
