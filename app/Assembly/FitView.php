<?php

declare(strict_types=1);

namespace App\Assembly;

/** What of a topic passes the choices, in whole units. */
final readonly class FitView
{
    /**
     * @param  int  $fits  How many questions pass.
     * @param  int|null  $drawn  How many of them the test will hold; null: that depends on the draw.
     */
    public function __construct(
        public string $code,
        public int $fits,
        public ?int $drawn,
    ) {
    }
}
