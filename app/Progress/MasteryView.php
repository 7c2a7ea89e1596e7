<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

/** The share of a topic's questions that one would get right today. Shares are 0 to 1. */
#[OA\Schema(schema: 'Mastery')]
final readonly class MasteryView
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property(description: 'Null: too little was answered to say.', nullable: true)] public ?float $share,
        #[OA\Property(description: 'Of its 80 % band.', nullable: true)] public ?float $low,
        #[OA\Property(nullable: true)] public ?float $high,
        #[OA\Property(description: 'Independent answers that it rests on.')] public int $responses,
    ) {
    }
}
