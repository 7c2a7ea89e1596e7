<?php

declare(strict_types=1);

namespace App\Result;

use App\Http\Contract\Named;
use Uplandia\Core\Result\Leaning;
use Uplandia\Core\Result\Level;
use Uplandia\Core\Sitting\Sureness;

/** How one level of sureness turned out. Shares are 0 to 1. */
#[Named('SurenessLevel')]
final readonly class LevelView
{
    /**
     * @param  float  $low  Wilson 95 %.
     * @param  float  $high  Wilson 95 %.
     */
    public function __construct(
        public Sureness $sureness,
        public int $n,
        public ?float $stated,
        public ?float $accuracy,
        public float $low,
        public float $high,
        public Leaning $leaning,
    ) {
    }

    public static function of(Level $level): self
    {
        return new self(
            sureness: $level->sureness,
            n: $level->n,
            stated: $level->stated,
            accuracy: $level->accuracy,
            low: $level->interval->low,
            high: $level->interval->high,
            leaning: $level->leaning,
        );
    }
}
