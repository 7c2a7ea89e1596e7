<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;

/** How many questions some choices leave, in whole units, and what to do when the count asked for cannot be made. */
#[OA\Schema(schema: 'Count')]
final readonly class CountView
{
    /** @param  list<FitView>  $topics */
    public function __construct(
        #[OA\Property] public int $available,
        #[OA\Property(description: 'Made of the choices.')] public string $name,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: FitView::class),
                description: 'By topic and subtopic, those of which any passes.',
            ),
        ]
        public array $topics,
        #[OA\Property(ref: ShortfallView::class, nullable: true, description: 'Null: it can be made.')]
        public ?ShortfallView $shortfall,
        #[
            OA\Property(
                nullable: true,
                description: 'What is left out because a running sitting holds it; null: nothing.',
            ),
        ]
        public ?string $leftOut,
        #[
            OA\Property(description: 'Time limit that would be set if none is given, in minutes, before extra time.'),
        ]
        public int $minutes,
    ) {
    }
}
