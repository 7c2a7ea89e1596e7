<?php

declare(strict_types=1);

namespace App\Cohort;

use OpenApi\Attributes as OA;

/** Where a candidate stands among all candidates of the exam. Shares are 0 to 1. */
#[OA\Schema(schema: 'Cohort')]
final readonly class CohortView
{
    /**
     * @param  list<int>  $steps
     * @param  list<CohortTopicView>  $topics
     */
    public function __construct(
        #[OA\Property(description: 'Whether one\'s own figures are part of it.')] public bool $takesPart,
        #[OA\Property(description: 'Others, each once with the latest whole exam that counts.')] public int $n,
        #[OA\Property(description: 'So many are needed before anything is shown.')] public int $fewest,
        #[OA\Property(nullable: true, description: 'One\'s own latest whole exam; null: none was sat.')]
        public ?string $sitting,
        #[OA\Property(nullable: true, description: 'Its share of marks.')] public ?float $share,
        #[OA\Property(nullable: true)] public ?float $percentile,
        #[OA\Property(nullable: true, description: 'Of the others; null: too few.')] public ?float $median,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'), description: 'How many others fall into each equal step from 0 to 1; none: too few.')]
        public array $steps,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CohortTopicView::class), description: 'In the order of the blueprint.')]
        public array $topics,
    ) {
    }
}
