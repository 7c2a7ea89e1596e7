<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;
use Uplandia\Core\Marking\Outcome;

/** A question that was in both of two sittings. */
#[OA\Schema(schema: 'MetAgain')]
final readonly class MetAgainView
{
    public function __construct(
        #[OA\Property] public string $excerpt,
        #[OA\Property] public string $topic,
        #[OA\Property(description: 'Its position in the earlier.')] public int $earlierPosition,
        #[OA\Property(description: 'Its position in the later.')] public int $laterPosition,
        #[OA\Property(enum: Outcome::class)] public Outcome $earlier,
        #[OA\Property(enum: Outcome::class)] public Outcome $later,
        #[OA\Property(nullable: true, description: 'Later credit less earlier, −1 to 1; null: one is not marked or was not met.')]
        public ?float $by,
    ) {
    }
}
