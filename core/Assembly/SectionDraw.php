<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

use Random\Randomizer;

/**
 * Fills one section of a rehearsal as the blueprint has it: of each topic as its weight asks, or of each sort of unit
 * so many. Never seen ones first, then the least recently seen. Source: computation.md, section 3.
 */
final readonly class SectionDraw
{
    public function __construct(private Section $section, private Randomizer $chance)
    {
    }

    /**
     * How many questions of each topic a section of questions that stand alone asks for.
     *
     * @param  list<int|string>  $weights  exact, of the topics
     * @return list<int>
     *
     * @throws InvalidRecipe
     */
    public static function byTopic(Section $section, array $weights): array
    {
        return Allocation::of(
            $section->questions,
            $weights,
            array_fill(0, count($weights), $section->questions),
        )->counts;
    }

    /**
     * Draws so many of a pool of questions that stand alone.
     *
     * @param  int  $size  questions in the pool
     * @param  array<int, int>  $seen  place => Unix seconds
     * @return list<int> places
     */
    public function alone(int $size, array $seen, int $n): array
    {
        return (new Draw($this->chance))->take($size === 0 ? [] : array_fill(0, $size, 1), $seen, $n);
    }

    /**
     * Draws the units of the section: of each sort exactly so many, together exactly as many questions.
     *
     * @param  array<string, list<int>>  $sizes  sort of unit => questions of each, in an order that is always the same
     * @param  array<string, array<int, int>>  $seen  sort of unit => place => Unix seconds
     * @return array<string, list<int>>|null sort => places, in the order drawn; null: it cannot be made
     */
    public function units(array $sizes, array $seen): ?array
    {
        $left = array_map(static fn (array $of): array => array_count_values($of), $sizes);
        $wanted = $this->section->units;
        $questions = $this->section->questions;
        if (! self::makes($left, $wanted, $questions)) {
            return null;
        }
        $drawn = [];
        foreach (array_keys($this->section->units) as $sort) {
            $drawn[$sort] = [];
            $draw = new Draw($this->chance);
            foreach ($draw->inOrder(count($sizes[$sort] ?? []), $seen[$sort] ?? []) as $place) {
                if ($wanted[$sort] === 0) {
                    break;
                }
                $size = $sizes[$sort][$place];
                $left[$sort][$size]--;
                $taken = [$sort => $wanted[$sort] - 1] + $wanted;
                if (self::makes($left, $taken, $questions - $size)) {
                    $drawn[$sort][] = $place;
                    $wanted = $taken;
                    $questions -= $size;
                }
            }
        }

        return $drawn;
    }

    /**
     * Whether so many units of each sort can hold together exactly so many questions.
     *
     * @param  array<string, array<int, int>>  $left  sort => size => how many
     * @param  array<string, int>  $wanted  sort => how many
     */
    private static function makes(array $left, array $wanted, int $questions): bool
    {
        $sums = [0 => true];
        foreach ($wanted as $sort => $n) {
            $next = [];
            foreach (array_keys(self::sums($left[$sort] ?? [], $n, $questions)) as $more) {
                foreach (array_keys($sums) as $sum) {
                    $next[$sum + $more] = true;
                }
            }
            $sums = $next;
        }

        return isset($sums[$questions]);
    }

    /**
     * How many questions exactly n units can hold.
     *
     * @param  array<int, int>  $units  size => how many
     * @return array<int, true> sums up to the most
     */
    private static function sums(array $units, int $n, int $most): array
    {
        // So many units => sums that so many can make.
        $can = [0 => [0 => true]];
        foreach ($units as $size => $there) {
            $next = $can;
            foreach ($can as $taken => $sums) {
                for ($more = 1; $more <= min($there, $n - $taken); $more++) {
                    foreach (array_keys($sums) as $sum) {
                        if ($sum + $more * $size <= $most) {
                            $next[$taken + $more][$sum + $more * $size] = true;
                        }
                    }
                }
            }
            $can = $next;
        }

        return $can[$n] ?? [];
    }
}
