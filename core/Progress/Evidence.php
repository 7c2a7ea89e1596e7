<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

/** Which looks at a question tell something new, and how much of it is left. Source: computation.md, section 8. */
final class Evidence
{
    private const HALF_LIFE_DAYS = 90;

    private const FRESH_AFTER_DAYS = 30;

    /**
     * Which of the looks at one question are independent: the first, and any at least 30 days after the look before
     * it.
     *
     * @param  list<float>  $days  when it was looked at, rising, in days
     * @return list<int> indices of the independent looks
     */
    public static function independent(array $days): array
    {
        $independent = [];
        foreach ($days as $i => $day) {
            if ($i === 0 || $day - $days[$i - 1] >= self::FRESH_AFTER_DAYS) {
                $independent[] = $i;
            }
        }

        return $independent;
    }

    /** w = 2^(−age/90). Example: 90 days ago → one half. */
    public static function weight(float $ageDays): float
    {
        return 2 ** (-max(0.0, $ageDays) / self::HALF_LIFE_DAYS);
    }
}
