<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Sitting\Sureness;

/** Sureness against outcome. */
enum Footing: string
{
    case Firm = 'firm';
    case FalseFooting = 'false_footing';
    case LuckyStep = 'lucky_step';
    case OpenGround = 'open_ground';

    /** Null for what is neither: leaning, partly right, blank or pending. */
    public static function of(?Sureness $sureness, Outcome $outcome): ?self
    {
        return match (true) {
            $sureness === Sureness::Sure && $outcome === Outcome::Right => self::Firm,
            $sureness === Sureness::Sure && $outcome === Outcome::Missed => self::FalseFooting,
            $sureness === Sureness::Guess && $outcome === Outcome::Right => self::LuckyStep,
            $sureness === Sureness::Guess && $outcome === Outcome::Missed => self::OpenGround,
            default => null,
        };
    }
}
