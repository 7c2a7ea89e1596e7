<?php

declare(strict_types=1);

namespace App\Library;

/** Some words of a question, marked or struck through by a candidate. */
final readonly class HighlightView
{
    /**
     * @param  string  $part  Which text of the question: "stem", "option:…", "exhibit:2" …
     * @param  int  $from  The first letter of that text as it is read, from 0.
     * @param  int  $to  The letter after the last.
     * @param  string  $quote  The words; where they have moved, they are looked for.
     * @param  string  $note  What was written beside them; empty: nothing.
     */
    public function __construct(
        public string $part,
        public int $from,
        public int $to,
        public HighlightKind $kind,
        public string $quote,
        public string $note,
    ) {
    }
}
