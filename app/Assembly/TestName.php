<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Clock\Moment;
use App\Question\Candidacy;
use App\Question\Syllabus;
use Psr\Clock\ClockInterface;
use Uplandia\Core\Assembly\Filter\DifficultyFilter;
use Uplandia\Core\Assembly\Filter\WordFilter;
use Uplandia\Core\Assembly\Pool;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Assembly\Spread;

/** A name made of the choices, which tells a test from others: "Weather and Rope, missed · 12". */
final class TestName
{
    /** It names up to so many topics, and pools. */
    private const NAMED = 3;

    public static function of(Recipe $recipe, Syllabus $syllabus): string
    {
        $parts = [self::topics($recipe, $syllabus)];
        $pools = array_map(fn (Pool $pool): string => $pool->words(), $recipe->filters->pools());
        if ($pools !== []) {
            $parts[] = count($pools) > self::NAMED ? count($pools).' pools' : self::listed($pools, 'or');
        }
        $parts[] = implode(' or ', $recipe->filters->get(DifficultyFilter::class)?->chosen() ?? []);
        $words = $recipe->filters->get(WordFilter::class)->words ?? '';
        $parts[] = $words === '' ? '' : '“'.mb_strimwidth($words, 0, 30, '…').'”';

        return implode(', ', array_filter($parts))." · {$recipe->count}";
    }

    /** What is made again and again is told apart by its day: "Weather and Rope, missed · 12, 5 Nov". */
    public static function dated(string $name, Candidacy $candidacy): string
    {
        return "{$name}, ".Moment::short($candidacy->today(resolve(ClockInterface::class)));
    }

    private static function topics(Recipe $recipe, Syllabus $syllabus): string
    {
        $names = [];
        if ($recipe->spread === Spread::ByHand) {
            foreach (array_keys($recipe->byTopic) as $code) {
                $names[] = $syllabus->named((string) $code)->name;
            }
        } else {
            foreach ($syllabus->chosen($recipe->filters->topics()) as $top => $topics) {
                $names[] = $syllabus->get(count($topics) === 1 ? $topics[0] : $top)->name;
            }
        }

        return match (true) {
            count($names) <= self::NAMED => self::listed($names, 'and'),
            count($names) === count($syllabus->tops()) => 'All topics',
            default => count($names).' topics',
        };
    }

    /** @param  list<string>  $words */
    private static function listed(array $words, string $last): string
    {
        $end = array_pop($words);

        return $words === [] ? (string) $end : implode(', ', $words)." {$last} {$end}";
    }
}
