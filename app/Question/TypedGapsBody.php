<?php

declare(strict_types=1);

namespace App\Question;

/** Gaps of the stem to be typed in. */
final readonly class TypedGapsBody
{
    /**
     * @param  'typed_gaps'  $kind
     * @param  list<string>  $gaps  ids, as the stem marks them
     */
    public function __construct(
        public string $kind,
        public array $gaps,
    ) {
    }
}
