<?php

declare(strict_types=1);

namespace App\Workshop\Lint;

use App\Media\Shelf;

/** What lets somebody score who knows nothing. */
final class Giveaways
{
    /** Always choosing the longest option, or the shortest, must score below this: a little over chance. */
    private const BY_LENGTH_BELOW = 0.28;

    /** Always choosing the longest words for a gap must gain less than this over chance. */
    private const GAPS_GAIN_BELOW = 0.175;

    /** No place may hold the key much more often than another. */
    private const PLACE_SHARE = [0.17, 0.33];

    private const LAZY = '/\b(all|none|both|any|neither) (of (the|these)|answers)\b|\ball above\b/i';

    /** Saying true, or false, to everything must score below this. */
    private const SAME_BELOW = 0.65;

    /** Keys shorter than this are in other words by chance. */
    private const SHORTEST_KEY = 4;

    /**
     * @param  list<array<mixed>>  $questions
     * @return list<string>
     */
    public static function faults(array $questions): array
    {
        return [
            ...self::singleFaults($questions),
            ...self::gridFaults($questions),
            ...self::gapFaults($questions),
            ...self::altFaults($questions),
        ];
    }

    /**
     * @param  list<array<mixed>>  $questions
     * @return list<string>
     */
    private static function singleFaults(array $questions): array
    {
        $faults = [];
        $places = [0, 0, 0, 0];
        $byLength = ['longest' => 0.0, 'shortest' => 0.0];
        $singles = 0;
        foreach ($questions as $question) {
            $options = (array) ($question['options'] ?? []);
            foreach ($options as $option) {
                if (preg_match(self::LAZY, (string) $option['text']) === 1) {
                    $faults[] = "{$question['id']}: \"{$option['text']}\" is no option worth thinking about.";
                }
            }
            // The options of a series are the same for all its statements, so their places and lengths say nothing.
            if (($question['kind'] ?? 'single') !== 'single' || isset($options[0]['pinned'])) {
                continue;
            }
            $singles++;
            $key = (int) array_search(
                true,
                array_map(fn (array $option): bool => ($option['key'] ?? false) === true, $options),
                true,
            );
            $places[min($key, 3)]++;
            $lengths = array_map(fn (array $option): int => mb_strlen((string) $option['text']), $options);
            $ends = ['longest' => max([0, ...$lengths]), 'shortest' => min([PHP_INT_MAX, ...$lengths])];
            foreach ($ends as $which => $n) {
                $ties = array_keys($lengths, $n, true);
                $byLength[$which] += in_array($key, $ties, true) ? 1 / count($ties) : 0;
            }
        }
        foreach ($byLength as $which => $scored) {
            if ($singles > 0 && $scored / $singles >= self::BY_LENGTH_BELOW) {
                $faults[] = sprintf(
                    'Always choosing the %s option scores %.1f %%; it must stay below 28 %%.',
                    $which,
                    (100 * $scored) / $singles,
                );
            }
        }
        foreach ($places as $place => $n) {
            if ($singles >= 20 && ($n / $singles < self::PLACE_SHARE[0] || $n / $singles > self::PLACE_SHARE[1])) {
                $faults[] = sprintf(
                    'The key stands in place %s in %.1f %% of the single-answer questions.',
                    'ABCD'[$place],
                    (100 * $n) / $singles,
                );
            }
        }

        return $faults;
    }

    /**
     * @param  list<array<mixed>>  $questions
     * @return list<string>
     */
    private static function gridFaults(array $questions): array
    {
        $rows = array_merge(
            [],
            ...array_map(
                fn (array $question): array => ($question['kind'] ?? '') === 'true_false_grid'
                    ? (array) $question['rows']
                    : [],
                $questions,
            ),
        );
        $true = count(array_filter($rows, fn (array $row): bool => ($row['key'] ?? null) === true));
        $share = $rows === [] ? 0.5 : $true / count($rows);

        return count($rows) >= 20 && max($share, 1 - $share) >= self::SAME_BELOW
            ? [sprintf('%.0f %% of all rows to call true or false are true.', 100 * $share)]
            : [];
    }

    /**
     * @param  list<array<mixed>>  $questions
     * @return list<string>
     */
    private static function gapFaults(array $questions): array
    {
        $gained = $byChance = 0.0;
        $gaps = 0;
        foreach ($questions as $question) {
            foreach (($question['kind'] ?? '') === 'dropdown_gaps' ? (array) $question['rows'] : [] as $row) {
                $lengths = array_map(mb_strlen(...), array_map(strval(...), (array) $row['choices']));
                $longest = array_keys($lengths, max([0, ...array_values($lengths)]), true);
                $gained += in_array($row['key'], $longest, true) ? 1 / count($longest) : 0;
                $byChance += 1 / max(1, count($lengths));
                $gaps++;
            }
        }

        return $gaps >= 20 && ($gained - $byChance) / $gaps > self::GAPS_GAIN_BELOW
            ? [sprintf('Always choosing the longest words for a gap scores %.0f %%.', (100 * $gained) / $gaps)]
            : [];
    }

    /**
     * Pictures described by the answer to the question about them.
     *
     * @param  list<array<mixed>>  $questions
     * @return list<string>
     */
    private static function altFaults(array $questions): array
    {
        $faults = [];
        foreach ($questions as $question) {
            $alts = array_column(Shelf::mentions([$question['stem'] ?? '', $question['options'] ?? []]), 'alt');
            $alts[] = (string) ($question['picture']['alt'] ?? '');
            foreach (self::keyTexts($question) as $key) {
                if (preg_grep('/(?<![\pL\pN])'.preg_quote($key, '/').'(?![\pL\pN])/iu', $alts) !== []) {
                    $faults[] = "{$question['id']}: an alternative text says \"{$key}\", which is the answer.";
                }
            }
        }

        return $faults;
    }

    /**
     * @param  array<mixed>  $question
     * @return list<string> words that answer it
     */
    private static function keyTexts(array $question): array
    {
        $typed = array_merge([], ...array_column((array) ($question['gaps'] ?? []), 'accepted'));
        $chosen = [];
        foreach ((array) ($question['options'] ?? []) as $option) {
            // A picture as an option is described; nothing else of it can be said.
            if (($option['key'] ?? false) === true && Shelf::mentions($option['text']) === []) {
                $chosen[] = (string) $option['text'];
            }
        }
        foreach (($question['kind'] ?? '') === 'dropdown_gaps' ? (array) $question['rows'] : [] as $row) {
            $chosen[] = (string) ((array) $row['choices'])[$row['key']];
        }

        return [
            ...array_map(strval(...), array_values($typed)),
            ...array_values(array_filter($chosen, fn (string $key): bool => mb_strlen($key) >= self::SHORTEST_KEY)),
        ];
    }
}
