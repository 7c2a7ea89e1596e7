<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Contract\MapOf;

/**
 * How many questions each value of each filter would leave, with all the other filters as they are chosen. Questions
 * are counted one by one here; a test takes cases and sets whole.
 */
final readonly class FacetsView
{
    /** By pool. */
    #[MapOf('int')]
    public object $pools;

    /** By difficulty, as the author says. */
    #[MapOf('int')]
    public object $difficulties;

    /** By kind. */
    #[MapOf('int')]
    public object $kinds;

    /** By what they hold: picture, sound, film, table, exhibits. */
    #[MapOf('int')]
    public object $holds;

    /** By difficulty, as the cohort finds it. */
    #[MapOf('int')]
    public object $found;

    /** By family of tags and value. */
    #[MapOf('array<string, int>')]
    public object $tags;

    /**
     * @param  array<string, int>  $pools
     * @param  array<string, int>  $difficulties
     * @param  array<string, int>  $kinds
     * @param  array<string, int>  $holds
     * @param  array<string, int>  $found
     * @param  array<string, array<string, int>>  $tags
     */
    public function __construct(
        array $pools,
        array $difficulties,
        array $kinds,
        array $holds,
        array $found,
        array $tags,
    ) {
        $this->pools = (object) $pools;
        $this->difficulties = (object) $difficulties;
        $this->kinds = (object) $kinds;
        $this->holds = (object) $holds;
        $this->found = (object) $found;
        $this->tags = (object) array_map(fn (array $values): object => (object) $values, $tags);
    }
}
