<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'QuestionState')]
final readonly class QuestionStateView
{
    /** @param  list<string>  $struck */
    public function __construct(
        #[OA\Property] public int $position,
        #[OA\Property(type: 'object', nullable: true, additionalProperties: true)] public ?object $response,
        #[OA\Property] public bool $flagged,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $struck,
        #[OA\Property(enum: ['sure', 'leaning', 'guess'], nullable: true)] public ?string $sureness,
        #[OA\Property] public bool $seen,
        #[OA\Property] public bool $checked,
        #[OA\Property] public bool $locked,
        #[OA\Property(description: 'Only once this sitting may see it.', enum: ['right', 'partly', 'missed', 'left_blank', 'pending'], nullable: true)] public ?string $outcome,
    ) {
    }
}
