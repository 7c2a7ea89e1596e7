<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Contract\Day;

/** How many revisits fall on a day. */
final readonly class DueDayView
{
    public function __construct(
        #[Day] public string $date,
        public int $n,
    ) {
    }
}
