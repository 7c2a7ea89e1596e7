<?php

declare(strict_types=1);

namespace App\Library;

use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Sitting\Sureness;

/** One time that a question was met. */
final readonly class EncounterView
{
    /**
     * @param  int  $at  Unix milliseconds.
     * @param  int  $activeMs  On screen.
     */
    public function __construct(
        public string $sitting,
        public int $position,
        public string $title,
        public Mode $mode,
        public int $at,
        public Outcome $outcome,
        public ?Sureness $sureness,
        public int $activeMs,
    ) {
    }
}
