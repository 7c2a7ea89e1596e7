<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'TopicCounts')]
final readonly class TopicCountsView
{
    /** @param  list<self>  $subtopics */
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $name,
        #[
            OA\Property(description: 'Percentage of the exam, for topics of the blueprint.', nullable: true),
        ]
        public ?string $weight,
        #[
            OA\Property(description: 'Questions in all, cases and sets whole, where the first of them stands.'),
        ]
        public int $all,
        #[OA\Property(description: 'The same of those with anything new to the candidate.')] public int $new,
        #[
            OA\Property(type: 'array', items: new OA\Items(ref: '#/components/schemas/TopicCounts')),
        ]
        public array $subtopics,
    ) {
    }
}
