<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;

/** Why a topic is in a test of weak spots. */
#[OA\Schema(schema: 'Reason')]
final readonly class ReasonView
{
    public function __construct(
        #[OA\Property] public string $topic,
        #[OA\Property] public int $questions,
        #[
            OA\Property(
                description: 'Points of the exam that it costs, in per cent; null: too little is known.',
                nullable: true,
            ),
        ]
        public ?float $stake,
        #[OA\Property(description: '0 to 1; null: too little is known.', nullable: true)] public ?float $mastery,
        #[OA\Property(description: 'Of these, due to revisit or open gaps.')] public int $overdue,
        #[OA\Property] public int $fresh,
        #[OA\Property] public int $again,
    ) {
    }
}
