<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;

/** What the builder shows before anything is chosen. */
#[OA\Schema(schema: 'Builder')]
final readonly class BuilderView
{
    /** @param  list<TopicCountsView>  $topics */
    public function __construct(
        #[OA\Property] public string $exam,
        #[OA\Property] public string $examName,
        #[OA\Property(ref: CountsView::class)] public CountsView $counts,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TopicCountsView::class))] public array $topics,
        #[OA\Property(description: 'Minutes that the real exam gives a question.')] public float $minutesPerQuestion,
        #[OA\Property(description: 'Factor of this candidate\'s time limits.')] public string $extraTime,
    ) {
    }
}
