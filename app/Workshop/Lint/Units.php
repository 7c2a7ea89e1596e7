<?php

declare(strict_types=1);

namespace App\Workshop\Lint;

/** Cases, passage sets, series, and the marks in stems that gaps stand for. */
final class Units
{
    /**
     * @param  list<array<mixed>>  $items  as written in the files: questions and units
     * @return list<string>
     */
    public static function faults(array $items): array
    {
        $faults = [];
        foreach ($items as $item) {
            if (isset($item['unit'])) {
                array_push($faults, ...self::unitFaults($item));
            }
        }

        return $faults;
    }

    /**
     * Every gap has its mark in the stem, and every mark its gap.
     *
     * @param  list<array<mixed>>  $questions
     * @return list<string>
     */
    public static function gapFaults(array $questions): array
    {
        $faults = [];
        foreach ($questions as $question) {
            preg_match_all('/\[\[(\w+)\]\]/', (string) $question['stem'], $marks);
            $gaps = match ($question['kind'] ?? 'single') {
                'typed_gaps' => array_map(strval(...), array_keys((array) $question['gaps'])),
                'dropdown_gaps' => array_column((array) $question['rows'], 'id'),
                default => [],
            };
            $found = $marks[1];
            sort($gaps);
            sort($found);
            if ($gaps !== $found) {
                $faults[] =
                    "{$question['id']}: the stem marks the gaps ".
                    (implode(', ', $found) ?: 'none').
                    ', but the question has '.
                    (implode(', ', $gaps) ?: 'none').
                    '.';
            }
        }

        return $faults;
    }

    /**
     * @param  array<mixed>  $unit
     * @return list<string>
     */
    private static function unitFaults(array $unit): array
    {
        $faults = [];
        $n = count((array) ($unit['questions'] ?? []));
        if ($n < 2 || $n > 8) {
            $faults[] = "{$unit['id']}: a unit keeps 2 to 8 questions together, not {$n}.";
        }
        $exhibits = count((array) ($unit['exhibits'] ?? []));
        if ($unit['unit'] === 'case' && ($exhibits < 2 || $exhibits > 4)) {
            $faults[] = "{$unit['id']}: a case has 2 to 4 exhibits, not {$exhibits}.";
        }
        $text = self::flat((string) ($unit['text'] ?? ''));
        foreach ((array) $unit['questions'] as $question) {
            $evidence = (array) ($question['evidence'] ?? []);
            if ($unit['unit'] === 'passage' && $evidence === []) {
                $faults[] = "{$question['id']}: no sentence is marked as evidence.";
            }
            foreach ($evidence as $sentence) {
                if (substr_count($text, self::flat((string) $sentence)) !== 1) {
                    $faults[] = "{$question['id']}: the evidence \"{$sentence}\" does not stand in the text just once.";
                }
            }
        }

        return $faults;
    }

    private static function flat(string $text): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', $text));
    }
}
