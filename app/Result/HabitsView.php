<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;

/** Time, second thoughts and ruling out. */
#[OA\Schema(schema: 'Habits')]
final readonly class HabitsView
{
    /** @param  list<int>  $slowest */
    public function __construct(
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'integer'),
                description: 'Positions of the five longest on screen, longest first.',
            ),
        ]
        public array $slowest,
        #[OA\Property(description: 'First response against last.')] public int $wrongToRight,
        #[OA\Property] public int $rightToWrong,
        #[OA\Property] public int $wrongToWrong,
        #[OA\Property(description: 'Questions in which options were ruled out.')] public int $ruledOut,
        #[OA\Property(description: 'Of them, in how many the right one was.')] public int $keyRuledOut,
        #[OA\Property(description: 'Answered questions narrowed to two options.')] public int $narrowedToTwo,
        #[OA\Property(description: 'Mean credit of those, 0 to 1.', nullable: true)] public ?float $accuracyNarrowed,
        #[OA\Property(description: 'Answers given faster than the question can be read.')] public int $rapidGuesses,
        #[OA\Property(description: 'Too few said how sure they were to say much.')] public bool $surenessThin,
    ) {
    }
}
