<?php

declare(strict_types=1);

namespace App\Library;

/** What a candidate keeps with a question, beyond any sitting. */
final readonly class KeptView
{
    /**
     * @param  string  $note  Empty: none.
     * @param  list<HighlightView>  $highlights
     */
    public function __construct(
        public int $position,
        public bool $starred,
        public string $note,
        public array $highlights,
    ) {
    }
}
