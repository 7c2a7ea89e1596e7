<?php

declare(strict_types=1);

namespace App\Assembly;

/** What dropping one filter would add. */
final readonly class GainView
{
    /**
     * @param  'topics'|'pools'|'difficulties'|'kinds'|'tags'|'words'|'only'  $filter  Key of the filter in the
     *     recipe: one of `Filters::KNOWN`.
     *
     * @phpstan-param  string  $filter
     *
     * @param  int  $more  How many questions more.
     */
    public function __construct(
        public string $filter,
        public string $label,
        public int $more,
    ) {
    }
}
