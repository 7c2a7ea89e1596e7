<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

/** Why a recipe cannot be met, and the ways out. Counting is the caller's; this decides what it means. */
final readonly class Shortfall
{
    /**
     * @param  array<string, int>  $shortByTopic  topic => how many are missing there
     * @param  array<string, int>  $gainByFilter  filter => how many questions dropping it would add, largest first
     */
    private function __construct(public int $short, public array $shortByTopic, public array $gainByFilter)
    {
    }

    /**
     * @param  array<string, int>  $asked  topic => questions wanted of it
     * @param  array<string, int>  $available  topic => questions that pass every filter
     * @param  array<string, array<string, int>>  $availableWithout  filter => topic => questions that pass all the
     *   other filters
     * @return self|null null when nothing is short
     */
    public static function of(array $asked, array $available, array $availableWithout = []): ?self
    {
        $shortByTopic = [];
        foreach ($asked as $topic => $n) {
            $short = $n - ($available[$topic] ?? 0);
            if ($short > 0) {
                $shortByTopic[$topic] = $short;
            }
        }
        if ($shortByTopic === []) {
            return null;
        }
        $gains = [];
        foreach ($availableWithout as $filter => $counts) {
            $gains[$filter] = 0;
            foreach (array_keys($asked) as $topic) {
                $gains[$filter] += max(0, ($counts[$topic] ?? 0) - ($available[$topic] ?? 0));
            }
        }
        $gains = array_filter($gains);
        arsort($gains);

        return new self(array_sum($shortByTopic), $shortByTopic, $gains);
    }
}
