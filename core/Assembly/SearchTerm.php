<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

/** One thing to be found, or not to be found: a word, a phrase, or the beginning of a word. */
final readonly class SearchTerm
{
    /**
     * @param  non-empty-list<string>  $words  in their order, lower case, letters and figures only
     * @param  bool  $prefix  the last word may go on
     * @param  bool  $without  what has it is left out
     */
    public function __construct(public array $words, public bool $prefix = false, public bool $without = false)
    {
    }
}
