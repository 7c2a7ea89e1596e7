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
        $parts = [
            $recipe->spread === Spread::ByHand
                ? self::joined(self::named($recipe, $syllabus), $syllabus)
                : self::topics($recipe->filters->topics(), $syllabus),
        ];
        $pools = array_map(fn (Pool $pool): string => $pool->words(), $recipe->filters->pools());
        if ($pools !== []) {
            $parts[] = count($pools) > self::NAMED ? count($pools).' pools' : self::listed($pools, 'or');
        }
        $parts[] = implode(' or ', $recipe->filters->get(DifficultyFilter::class)?->chosen() ?? []);
        $words = $recipe->filters->get(WordFilter::class)->words ?? '';
        $parts[] = $words === '' ? '' : '“'.mb_strimwidth($words, 0, 30, '…').'”';

        $what = implode(', ', array_filter($parts));

        return $recipe->adapting ? "{$what} · adaptive, up to {$recipe->count}" : "{$what} · {$recipe->count}";
    }

    /** What is made again and again is told apart by its day: "Weather and Rope, missed · 12, 5 Nov". */
    public static function dated(string $name, Candidacy $candidacy): string
    {
        return "{$name}, ".Moment::short($candidacy->today(resolve(ClockInterface::class)));
    }

    /**
     * Some topics in a few words; those at the top stand for all of theirs.
     *
     * @param  list<string>|null  $codes  null: all
     */
    public static function topics(?array $codes, Syllabus $syllabus): string
    {
        $names = [];
        foreach ($syllabus->chosen($codes) as $top => $topics) {
            $names[] = $syllabus->get(count($topics) === 1 ? $topics[0] : $top)->name;
        }

        return self::joined($names, $syllabus);
    }

    /** @return list<string> topics beside which a number was typed */
    private static function named(Recipe $recipe, Syllabus $syllabus): array
    {
        return array_map(
            fn (int|string $code): string => $syllabus->named((string) $code)->name,
            array_keys($recipe->byTopic),
        );
    }

    /** @param  list<string>  $names */
    private static function joined(array $names, Syllabus $syllabus): string
    {
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
