<?php

declare(strict_types=1);

namespace App\Today;

use App\Http\Contract\Named;

/** One thing to do next, and why. */
#[Named('NextStep')]
final readonly class StepView
{
    /** @param  string|null  $section  The section of the handbook to read. */
    public function __construct(
        public StepKind $kind,
        public string $sentence,
        public string $reason,
        public ?string $section = null,
    ) {
    }
}
