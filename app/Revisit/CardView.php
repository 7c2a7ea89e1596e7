<?php

declare(strict_types=1);

namespace App\Revisit;

use OpenApi\Attributes as OA;

/** Two sides to remember. */
#[OA\Schema(schema: 'Card')]
final readonly class CardView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(description: 'Markdown.')] public string $front,
        #[OA\Property(description: 'Markdown.')] public string $back,
        #[OA\Property(nullable: true, description: 'The question it was made from.')] public ?int $question,
        #[OA\Property(nullable: true, description: 'The page of the handbook it was made from, by its code.')]
        public ?string $section,
        #[
            OA\Property(
                description: 'Why its back is covered: a test whose clock is not over asks its question. Null: it is not.',
                nullable: true,
            ),
        ]
        public ?string $covered,
        #[OA\Property] public bool $suspended,
        #[OA\Property(description: 'How often it was looked at.')] public int $looks,
        #[OA\Property(format: 'date', nullable: true, description: 'Null: it stays away.')] public ?string $due,
        #[OA\Property(nullable: true, description: 'The chance that it is still known today, 0 to 1.')]
        public ?float $recall,
    ) {
    }
}
