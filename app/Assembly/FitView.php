<?php

declare(strict_types=1);

namespace App\Assembly;

/** What of a topic passes the choices. */
final readonly class FitView
{
    /**
     * @param  int  $fits  How many of its questions pass, each by itself.
     * @param  int|null  $drawn  How many the test draws there, what belongs together where the first of it
     *     that passes stands; null: that depends on the draw.
     */
    public function __construct(
        public string $code,
        public int $fits,
        public ?int $drawn,
    ) {
    }
}
