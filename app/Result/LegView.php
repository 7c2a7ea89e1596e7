<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;
use Uplandia\Core\Result\Leg;

/** How far along the test one was after a question, in its order. */
#[OA\Schema(schema: 'Leg')]
final readonly class LegView
{
    public function __construct(
        #[OA\Property] public int $position,
        #[OA\Property(description: 'Own times up to and with it.')] public int $spentMs,
        #[OA\Property(nullable: true, description: 'What the pace plan gives up to there.')] public ?int $plannedMs,
    ) {
    }

    public static function of(Leg $leg): self
    {
        return new self($leg->position, $leg->spent, $leg->planned);
    }
}
