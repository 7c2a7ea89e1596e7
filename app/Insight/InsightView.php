<?php

declare(strict_types=1);

namespace App\Insight;

use OpenApi\Attributes as OA;

/** What a result tells beyond its marks. */
#[OA\Schema(schema: 'Insight')]
final readonly class InsightView
{
    /**
     * @param  list<string>  $facts
     * @param  list<LevelView>  $levels
     * @param  list<int>  $slowest
     */
    public function __construct(
        #[OA\Property(description: 'Where the result stands, in a sentence.')] public string $opening,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'At most two, the most useful first.')] public array $facts,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LevelView::class))] public array $levels,
        #[OA\Property(ref: FootingView::class)] public FootingView $footing,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'), description: 'Positions of the five longest on screen, longest first.')] public array $slowest,
        #[OA\Property(ref: ChangesView::class)] public ChangesView $changes,
        #[OA\Property(ref: StrikingView::class)] public StrikingView $striking,
    ) {
    }
}
