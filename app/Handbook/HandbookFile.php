<?php

declare(strict_types=1);

namespace App\Handbook;

/**
 * Reads a chapter of a handbook: a Markdown file with `# Chapter` at its head and sections that begin `## code:
 * Title`. A section may be a lesson too: a file of its own, with steps that begin `## Title`.
 *
 * @phpstan-type Step array{title: string, body: string}
 * @phpstan-type Section array{code: string, chapter: string, title: string, body: string}
 */
final class HandbookFile
{
    /**
     * @return list<Section>
     */
    public static function read(string $file): array
    {
        $text = self::text($file);
        $chapter = preg_match('/^# (.+)$/m', $text, $match) === 1 ? trim($match[1]) : basename($file, '.md');
        $sections = [];
        foreach (self::parts($text) as ['title' => $head, 'body' => $body]) {
            [$code, $title] = array_map(trim(...), explode(':', $head, 2)) + [1 => ''];
            $sections[] = ['code' => $code, 'chapter' => $chapter, 'title' => $title, 'body' => $body];
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

    /**
     * All lessons of a folder.
     *
     * @return array<string, list<Step>> by the code of their section
     */
    public static function lessons(string $folder): array
    {
        $lessons = [];
        foreach (glob("{$folder}/*.md") ?: [] as $file) {
            $lessons[basename($file, '.md')] = self::parts(self::text($file));
        }

        return $lessons;
    }

    /** @return list<Step> what stands under each heading of the second order */
    private static function parts(string $text): array
    {
        $parts = [];
        foreach (array_slice(preg_split('/^## /m', $text) ?: [], 1) as $part) {
            [$title, $body] = explode("\n", $part, 2) + [1 => ''];
            $parts[] = ['title' => trim($title), 'body' => trim($body)];
        }

        return $parts;
    }

    private static function text(string $file): string
    {
        return str_replace("\r\n", "\n", (string) file_get_contents($file));
    }
}
