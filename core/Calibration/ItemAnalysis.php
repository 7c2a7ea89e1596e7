<?php

declare(strict_types=1);

namespace Uplandia\Core\Calibration;

use Uplandia\Core\Statistics\Sample;

/** Item statistics of a whole bank in one pass over the looks. */
final class ItemAnalysis
{
    /** Nobody reads a question in less. */
    private const FASTEST_MS = 3000;

    /** The outer groups that tell most for a given n (Kelley 1939). */
    private const OUTER_SHARE = 0.27;

    /**
     * @param  iterable<Look>  $looks
     * @return array<int, ItemStatistics> by item
     */
    public static function of(iterable $looks): array
    {
        $byItem = $sum = $count = [];
        foreach ($looks as $look) {
            if ($look->ms !== null && $look->ms < self::FASTEST_MS) {
                continue;
            }
            $byItem[$look->item][] = $look;
            $sum[$look->person] = ($sum[$look->person] ?? 0.0) + $look->credit;
            $count[$look->person] = ($count[$look->person] ?? 0) + 1;
        }
        ksort($byItem);

        return array_map(static fn (array $looks): ItemStatistics => self::one($looks, $sum, $count), $byItem);
    }

    /**
     * @param  list<Look>  $looks
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
            count($credit),
            array_sum($credit) / max(1, count($credit)),
            Sample::correlation($restCredit, $rest),
            self::upperLower($restCredit, $rest),
            array_map(static fn (int $n): float => $n / $chose, $options),
            $times === [] ? null : [(float) Sample::quantile($times, .25), (float) Sample::quantile($times, .5), (float) Sample::quantile($times, .75)],
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
