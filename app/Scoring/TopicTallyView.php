<?php

declare(strict_types=1);

namespace App\Scoring;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'TopicTally')]
final readonly class TopicTallyView
{
    /** @param  list<self>  $subtopics */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[OA\Property(ref: TallyView::class)] public TallyView $tally,
        #[OA\Property(description: 'Against the cut, by Wilson\'s 80 % bounds.', enum: ['above', 'below', 'unsettled'])] public string $status,
        #[OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/TopicTally'))] public array $subtopics,
    ) {
    }
}
