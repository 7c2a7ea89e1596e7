<?php

declare(strict_types=1);

namespace App\Assembly;

/** What dropping one filter would add. */
final readonly class GainView
{
    /**
     * @param  'topics'|'pools'|'difficulties'|'kinds'|'tags'|'words'|'only'  $filter  Name of the filter in the
     *     recipe.
     * @param  int  $more  How many questions more.
     */
    public function __construct(
        public string $filter,
        public string $label,
        public int $more,
    ) {
    }
}
