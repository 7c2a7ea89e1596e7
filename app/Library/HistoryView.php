<?php

declare(strict_types=1);

namespace App\Library;

use OpenApi\Attributes as OA;

/** Every time that a question was met, of tests that are handed in. */
#[OA\Schema(schema: 'History')]
final readonly class HistoryView
{
    /**
     * @param  list<EncounterView>  $encounters
     * @param  list<HighlightView>  $highlights
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: EncounterView::class), description: 'The latest first.')]
        public array $encounters,
        #[OA\Property(type: 'array', items: new OA\Items(ref: HighlightView::class))] public array $highlights,
        #[OA\Property(format: 'date', nullable: true, description: 'When it comes back; null: it does not.')]
        public ?string $due,
        #[OA\Property(nullable: true, description: 'The chance that it is still known today, 0 to 1.')]
        public ?float $recall,
    ) {
    }
}
