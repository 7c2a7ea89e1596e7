<?php

declare(strict_types=1);

namespace App\Library;

use OpenApi\Attributes as OA;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Sitting\Sureness;

/** One time that a question was met. */
#[OA\Schema(schema: 'Encounter')]
final readonly class EncounterView
{
    public function __construct(
        #[OA\Property] public string $sitting,
        #[OA\Property] public int $position,
        #[OA\Property] public string $title,
        #[OA\Property(enum: Mode::class)] public Mode $mode,
        #[OA\Property(description: 'Unix milliseconds.')] public int $at,
        #[OA\Property(enum: Outcome::class)] public Outcome $outcome,
        #[OA\Property(enum: Sureness::class, nullable: true)] public ?Sureness $sureness,
        #[OA\Property(description: 'On screen.')] public int $activeMs,
    ) {
    }
}
