<?php

declare(strict_types=1);

namespace Uplandia\Core\Revisit;

use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Sitting\Sureness;

/** How well a question came back. Source: computation.md, section 9. */
enum Grade: int
{
    case Lost = 1;
    case Hard = 2;
    case Good = 3;
    case Easy = 4;

    /**
     * @param  int|null  $ms  time on screen
     * @param  float|null  $medianMs  the cohort's median for this question; without it nothing is easy
     */
    public static function of(Outcome $outcome, ?Sureness $sureness, ?int $ms = null, ?float $medianMs = null): self
    {
        return match (true) {
            $outcome === Outcome::Partly => self::Hard,
            $outcome !== Outcome::Right => self::Lost,
            $sureness === Sureness::Guess => self::Hard,
            $sureness === Sureness::Sure && $ms !== null && $medianMs !== null && $ms < $medianMs => self::Easy,
            default => self::Good,
        };
    }
}
