<?php

declare(strict_types=1);

namespace App\Result;

use Uplandia\Core\Marking\Outcome;

/** What came of a question in an earlier sitting of the same candidate. */
final readonly class EarlierLookView
{
    /** @param  int  $at  Unix milliseconds. */
    public function __construct(
        public int $at,
        public Outcome $outcome,
    ) {
    }
}
