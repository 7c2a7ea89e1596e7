<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

/** One's own time on a question against the cohort's median. Source: computation.md, section 5. */
enum Tempo: string
{
    case Fast = 'fast';
    case Slow = 'slow';

    /** Faster than this share of the median is fast; slower than its inverse is slow. */
    private const FAST = 2 / 3;

    /**
     * @param  int  $ms  on screen
     * @param  float|null  $medianMs  null: not known, so it is neither
     */
    public static function of(int $ms, ?float $medianMs): ?self
    {
        return match (true) {
            $medianMs === null => null,
            $ms < self::FAST * $medianMs => self::Fast,
            $ms > $medianMs / self::FAST => self::Slow,
            default => null,
        };
    }
}
