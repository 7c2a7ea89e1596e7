<?php

declare(strict_types=1);

namespace App\Today;

use OpenApi\Attributes as OA;

/** What can be begun without choosing anything. */
#[OA\Schema(schema: 'Quick')]
final readonly class QuickView
{
    public function __construct(
        #[OA\Property(description: 'Questions that are due to revisit.')] public int $due,
        #[OA\Property(description: 'Cards that are due.')] public int $cards,
        #[OA\Property(description: 'Questions that did not go right last time.')] public int $missed,
        #[OA\Property(description: 'The recipe run last; null: none yet.', nullable: true)] public ?string $recipe,
        #[OA\Property(description: 'What the test it made was called.', nullable: true)] public ?string $recipeName,
        #[OA\Property(description: 'Questions of a whole rehearsal.')] public int $rehearsal,
        #[OA\Property(description: 'Of the whole exam, before extra time.')] public int $minutes,
        #[OA\Property] public int $papers,
        #[OA\Property] public int $series,
    ) {
    }
}
