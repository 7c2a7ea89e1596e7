<?php

declare(strict_types=1);

namespace Uplandia\Core\Insight;

use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Scoring\Marked;
use Uplandia\Core\Scoring\Status;
use Uplandia\Core\Scoring\Totals;

/** A result by topic, subtopic, section, difficulty, kind or tag family. Source: computation.md, section 5. */
final class Breakdown
{
    /**
     * @param  list<Answer>  $answers
     * @param  string  $label  what to group by; answers without it are left out
     * @param  float  $cut  share that passes
     * @return list<Group> in order of first appearance
     */
    public static function by(array $answers, string $label, float $cut): array
    {
        $parts = [];
        foreach ($answers as $answer) {
            if (isset($answer->labels[$label])) {
                $parts[$answer->labels[$label]][] = $answer;
            }
        }
        $groups = [];
        foreach ($parts as $name => $part) {
            $groups[] = self::group((string) $name, $part, $cut);
        }

        return $groups;
    }

    /** @param  non-empty-list<Answer>  $answers */
    private static function group(string $name, array $answers, float $cut): Group
    {
        $time = $credit = 0.0;
        $answered = $marked = 0;
        foreach ($answers as $answer) {
            $credit += $answer->share();
            $marked += $answer->credit->outcome === Outcome::Pending ? 0 : 1;
            if ($answer->credit->wasAnswered()) {
                $time += $answer->ms;
                $answered++;
            }
        }

        return new Group(
            $name,
            Totals::of(array_map(static fn (Answer $answer): Marked => new Marked($answer->credit, $answer->scheme), $answers)),
            $answered === 0 ? null : $time / $answered,
            Status::against($cut, $credit, $marked),
        );
    }
}
