<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;

/** A share of marks among those of other candidates. */
#[OA\Schema(schema: 'CohortPlace')]
final readonly class CohortPlaceView
{
    /** @param  list<int>  $steps */
    public function __construct(
        #[OA\Property(description: 'Others, each once with the latest sitting that counts.')] public int $n,
        #[OA\Property(description: 'So many are needed before anything is shown.')] public int $fewest,
        #[OA\Property(description: 'Of others who did not answer enough to count.')] public int $leftOut,
        #[OA\Property(description: 'All whole papers and rehearsals of the exam, not only this test.')]
        public bool $ofExam,
        #[OA\Property(nullable: true, description: '0 to 1; null: too few others, or this sitting does not count.')]
        public ?float $percentile,
        #[OA\Property(nullable: true, description: 'Of the others, 0 to 1.')] public ?float $median,
        #[OA\Property(nullable: true, description: 'One\'s own share of marks.')] public ?float $share,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'integer'),
                description: 'How many others fall into each equal step from 0 to 1; none: too few.',
            ),
        ]
        public array $steps,
    ) {
    }
}
