<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;

/** Second thoughts, ruling out, and what was not read. */
#[OA\Schema(schema: 'Habits')]
final readonly class HabitsView
{
    public function __construct(
        #[OA\Property(description: 'First response against last.')] public int $wrongToRight,
        #[OA\Property] public int $rightToWrong,
        #[OA\Property] public int $wrongToWrong,
        #[OA\Property(description: 'Questions in which options were ruled out.')] public int $ruledOut,
        #[OA\Property(description: 'Of them, in how many the right one was.')] public int $keyRuledOut,
        #[OA\Property(description: 'Answered questions narrowed to two options.')] public int $narrowedToTwo,
        #[OA\Property(description: 'Mean credit of those, 0 to 1.', nullable: true)] public ?float $accuracyNarrowed,
        #[OA\Property(description: 'Answers given faster than the question can be read.')] public int $rapidGuesses,
    ) {
    }
}
