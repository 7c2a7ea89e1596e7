<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

use Uplandia\Core\Result\RapidGuess;
use Uplandia\Core\Statistics\Sample;

/** Item statistics of a whole bank. Rapid guesses are left out. Source: computation.md, section 7. */
final class ItemAnalysis
{
    /** The outer groups that tell most for a given n (Kelley 1939). */
    private const OUTER_SHARE = 0.27;

    /**
     * @param  iterable<FirstLook>  $looks
     * @return array<int, ItemStatistics> by item
     */
    public static function of(iterable $looks): array
    {
        $byItem = $sum = $count = [];
        foreach (self::withoutRapidGuesses($looks) as $look) {
            $byItem[$look->item][] = $look;
            $sum[$look->person] = ($sum[$look->person] ?? 0.0) + $look->credit;
            $count[$look->person] = ($count[$look->person] ?? 0) + 1;
        }
        ksort($byItem);

        return array_map(static fn (array $looks): ItemStatistics => self::one($looks, $sum, $count), $byItem);
    }

    /**
     * @param  iterable<FirstLook>  $looks
     * @return iterable<FirstLook>
     */
    public static function withoutRapidGuesses(iterable $looks): iterable
    {
        $byItem = [];
        foreach ($looks as $look) {
            $byItem[$look->item][] = $look;
        }
        foreach ($byItem as $all) {
            $median = Sample::quantile(array_values(array_filter(array_column($all, 'ms'), is_int(...))), 0.5);
            foreach ($all as $look) {
                if ($look->ms === null || ! RapidGuess::is($look->ms, $median)) {
                    yield $look;
                }
            }
        }
    }

    /**
     * @param  list<FirstLook>  $looks
     * @param  array<int, float>  $sum  person => credit on all items
     * @param  array<int, int>  $count  person => items
     */
    private static function one(array $looks, array $sum, array $count): ItemStatistics
    {
        $credit = $rest = $restCredit = $times = $options = [];
        foreach ($looks as $look) {
            $credit[] = $look->credit;
            if ($count[$look->person] > 1) {
                $rest[] = ($sum[$look->person] - $look->credit) / ($count[$look->person] - 1);
                $restCredit[] = $look->credit;
            }
            if ($look->ms !== null) {
                $times[] = $look->ms;
            }
            if ($look->option !== null) {
                $options[$look->option] = ($options[$look->option] ?? 0) + 1;
            }
        }
        $chose = array_sum($options);
        ksort($options);

        return new ItemStatistics(
            n: count($credit),
            facility: array_sum($credit) / max(1, count($credit)),
            itemRest: Sample::correlation($restCredit, $rest),
            upperLower: self::upperLower($restCredit, $rest),
            optionShares: array_map(static fn (int $n): float => $n / $chose, $options),
            quartilesMs: $times === []
                ? null
                : [
                    (float) Sample::quantile($times, 0.25),
                    (float) Sample::quantile($times, 0.5),
                    (float) Sample::quantile($times, 0.75),
                ],
        );
    }

    /**
     * @param  list<float>  $credit
     * @param  list<float>  $rest
     */
    private static function upperLower(array $credit, array $rest): ?float
    {
        $size = (int) round(self::OUTER_SHARE * count($credit));
        if ($size < 1) {
            return null;
        }
        asort($rest);
        $order = array_keys($rest);
        $upper = $lower = 0.0;
        for ($i = 0; $i < $size; $i++) {
            $lower += $credit[$order[$i]];
            $upper += $credit[$order[count($order) - 1 - $i]];
        }

        return ($upper - $lower) / $size;
    }
}
