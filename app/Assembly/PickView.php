<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Question\UnitKind;

/** A question to pick: what tells it from others, and nothing of its answer. */
#[OA\Schema(schema: 'Pick')]
final readonly class PickView
{
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(description: 'The beginning of its stem, without mark-up.')] public string $excerpt,
        #[OA\Property] public string $topic,
        #[OA\Property(enum: Kind::class)] public Kind $kind,
        #[OA\Property(enum: Difficulty::class)] public Difficulty $difficulty,
        #[OA\Property(enum: Outcome::class, nullable: true, description: 'The latest; null: new to the candidate.')]
        public ?Outcome $outcome,
        #[OA\Property] public bool $flagged,
        #[OA\Property(enum: UnitKind::class, nullable: true, description: 'Picked whole; null: it stands alone.')]
        public ?UnitKind $unit,
    ) {
    }
}
