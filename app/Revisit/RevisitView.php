<?php

declare(strict_types=1);

namespace App\Revisit;

use OpenApi\Attributes as OA;
use Uplandia\Core\Marking\Outcome;

/** A question that comes back. */
#[OA\Schema(schema: 'Revisit')]
final readonly class RevisitView
{
    public function __construct(
        #[OA\Property] public int $question,
        #[OA\Property(description: 'The stem\'s beginning, without Markdown.')] public string $excerpt,
        #[OA\Property] public string $topic,
        #[OA\Property] public string $subtopic,
        #[OA\Property(enum: Outcome::class, description: 'The latest.')] public Outcome $outcome,
        #[OA\Property(description: 'How often it was met.')] public int $seen,
        #[OA\Property(format: 'date', nullable: true, description: 'Null: it stays away.')] public ?string $due,
        #[OA\Property(nullable: true, description: 'The chance that it is still known today, 0 to 1.')]
        public ?float $recall,
        #[OA\Property(nullable: true, description: 'Where it was met last and may be read.')] public ?string $sitting,
        #[OA\Property(nullable: true)] public ?int $position,
    ) {
    }
}
