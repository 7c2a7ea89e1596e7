<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;

/**
 * How many questions each value of each filter would leave, with all the other filters as they are chosen. Questions
 * are counted one by one here; a test takes cases and sets whole.
 */
#[OA\Schema(schema: 'Facets')]
final readonly class FacetsView
{
    #[
        OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'integer'),
            description: 'By pool.',
        ),
    ]
    public object $pools;

    #[
        OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'integer'),
            description: 'By difficulty, as the author says.',
        ),
    ]
    public object $difficulties;

    #[
        OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'integer'),
            description: 'By kind.',
        ),
    ]
    public object $kinds;

    #[
        OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'integer'),
            description: 'By what they hold: picture, sound, film, table, exhibits.',
        ),
    ]
    public object $holds;

    #[
        OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(type: 'integer'),
            description: 'By difficulty, as the cohort finds it.',
        ),
    ]
    public object $found;

    #[
        OA\Property(
            type: 'object',
            additionalProperties: new OA\AdditionalProperties(ref: ValueCounts::class),
            description: 'By family of tags and value.',
        ),
    ]
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
