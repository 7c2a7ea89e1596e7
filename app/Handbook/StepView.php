<?php

declare(strict_types=1);

namespace App\Handbook;

use App\Http\Contract\Named;

/** A step of a lesson. */
#[Named('LessonStep')]
final readonly class StepView
{
    /** @param  string  $body  Markdown. */
    public function __construct(
        public string $title,
        public string $body,
    ) {
    }
}
