<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

/** A result by topic, subtopic, section, difficulty, kind or tag family. Source: computation.md, section 5. */
final class Breakdown
{
    /**
     * @param  list<QuestionResult>  $results  in the order of the test
     * @param  string  $label  what to group by; questions without it are left out, those of several values are in
     *   several groups
     * @param  float  $cut  share that passes
     * @return array<string, Group> by name, in order of first appearance
     */
    public static function by(array $results, string $label, float $cut): array
    {
        $parts = [];
        foreach ($results as $result) {
            foreach ((array) ($result->labels[$label] ?? []) as $name) {
                $parts[$name][] = $result;
            }
        }
        $groups = [];
        foreach ($parts as $name => $part) {
            $groups[(string) $name] = self::group((string) $name, $part, $cut);
        }

        return $groups;
    }

    /** @param  list<QuestionResult>  $results */
    public static function whole(array $results, float $cut): Group
    {
        return self::group('', $results, $cut);
    }

    /** @param  list<QuestionResult>  $results */
    private static function group(string $name, array $results, float $cut): Group
    {
        $time = 0.0;
        $answered = 0;
        foreach ($results as $result) {
            if ($result->credit->wasAnswered()) {
                $time += $result->ms;
                $answered++;
            }
        }
        $totals = Totals::of(QuestionResult::marked($results));

        return new Group(
            name: $name,
            totals: $totals,
            meanMs: $answered === 0 ? null : $time / $answered,
            against: CutBounds::of($totals, $cut),
            positions: array_column($results, 'position'),
        );
    }
}
