<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

/** Where one stands in a topic, by the model. Shares are 0 to 1. */
#[OA\Schema(schema: 'TopicStand')]
final readonly class TopicStandView
{
    /** @param  list<CoverageView>  $parts */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(description: 'Percent of the exam.')] public float $weight,
        #[OA\Property(nullable: true, description: 'Mastery; null: too little to say.')] public ?float $share,
        #[OA\Property(nullable: true, description: 'Of its 80 % band.')] public ?float $low,
        #[OA\Property(nullable: true)] public ?float $high,
        #[OA\Property(description: 'Independent answers that it rests on.')] public int $responses,
        #[OA\Property(nullable: true, description: 'Points of the exam that it is costing.')] public ?float $stake,
        #[OA\Property(nullable: true, description: 'Rise of the outlook if it came up to the target.')]
        public ?float $lever,
        #[OA\Property] public int $all,
        #[OA\Property] public int $seen,
        #[OA\Property(description: 'At the latest look.')] public int $right,
        #[OA\Property(type: 'array', items: new OA\Items(ref: CoverageView::class), description: 'Its subtopics.')] public array $parts,
    ) {
    }
}
