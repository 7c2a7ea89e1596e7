<?php

declare(strict_types=1);

namespace App\Workshop\Lint;

/** Whether a bank says why, and does not only say no. */
final class Reasons
{
    /** A shorter reason is a verdict, as a rule. */
    private const FEWEST_WORDS = 6;

    /** What begins the part of a reason that tells how to think. */
    private const STEP = '**How to get there.**';

    /** So many of a hundred may be short: some say all there is to say. */
    private const MOST_SHORT = 3.0;

    /**
     * @param  list<array<mixed>>  $items  questions, cases, passages and series as they are written
     * @return list<string>
     */
    public static function faults(array $items): array
    {
        $reasons = self::of($items);
        $short = array_filter(
            $reasons,
            fn (string $why): bool => self::words($why) < self::FEWEST_WORDS,
        );
        if (100 * count($short) <= self::MOST_SHORT * count($reasons)) {
            return [];
        }

        return [
            sprintf(
                '%d of %d reasons have fewer than %d words, the first of them "%s": say why, not only that.',
                count($short),
                count($reasons),
                self::FEWEST_WORDS,
                reset($short),
            ),
        ];
    }

    /**
     * Whether each reason tells how one gets from the question to its key, so that the next one of its like can be
     * solved: not only why this key is right.
     *
     * @param  list<array<mixed>>  $questions
     * @return list<string>
     */
    public static function stepFaults(array $questions): array
    {
        $faults = [];
        foreach ($questions as $question) {
            [, $step] = explode(self::STEP, (string) ($question['rationale'] ?? ''), 2) + [1 => ''];
            if (self::words($step) < self::FEWEST_WORDS) {
                $faults[] = sprintf('%s: its reason does not tell how to get there ("%s").', $question['id'], self::STEP);
            }
        }

        return $faults;
    }

    private static function words(string $text): int
    {
        return count(preg_split('/\s+/u', trim($text), flags: PREG_SPLIT_NO_EMPTY) ?: []);
    }

    /**
     * @param  array<mixed>  $node
     * @return list<string>
     */
    private static function of(array $node): array
    {
        $reasons = [];
        foreach ($node as $name => $child) {
            if ($name === 'why') {
                $found = is_array($child) ? array_values($child) : [$child];
                $reasons = [...$reasons, ...array_filter($found, is_string(...))];
            } elseif (is_array($child)) {
                $reasons = [...$reasons, ...self::of($child)];
            }
        }

        return $reasons;
    }
}
