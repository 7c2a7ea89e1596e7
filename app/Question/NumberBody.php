<?php

declare(strict_types=1);

namespace App\Question;

/** A number, with a unit where one is asked for. */
final readonly class NumberBody
{
    /**
     * @param  'number'  $kind
     * @param  string|null  $suffix  What stands behind the number.
     */
    public function __construct(
        public string $kind,
        public ?string $suffix,
        public bool $asksUnit,
    ) {
    }
}
