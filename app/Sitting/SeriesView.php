<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;

/** Fixed tests in an author's order. */
#[OA\Schema(schema: 'SeriesOfTests')]
final readonly class SeriesView
{
    /**
     * @param  list<SeriesTestView>  $tests
     */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public string $about,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SeriesTestView::class))] public array $tests,
    ) {
    }
}
