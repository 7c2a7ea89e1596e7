<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Sitting\QuestionState;
use Uplandia\Core\Sitting\Sureness;

#[OA\Schema(schema: 'QuestionState')]
final readonly class QuestionStateView
{
    /** @param  list<string>  $struck */
    public function __construct(
        #[OA\Property] public int $position,
        #[OA\Property(type: 'object', nullable: true, additionalProperties: true)] public ?object $response,
        #[OA\Property] public bool $flagged,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $struck,
        #[OA\Property(enum: Sureness::class, nullable: true)] public ?Sureness $sureness,
        #[OA\Property] public bool $seen,
        #[OA\Property] public bool $checked,
        #[OA\Property] public bool $locked,
        #[
            OA\Property(description: 'Only once this sitting may see it.', enum: Outcome::class, nullable: true),
        ]
        public ?Outcome $outcome,
    ) {
    }

    public static function of(int $position, QuestionState $question, ?Outcome $outcome): self
    {
        return new self(
            position: $position,
            response: $question->response === null ? null : (object) $question->response,
            flagged: $question->flagged,
            struck: $question->struck,
            sureness: $question->sureness,
            seen: $question->seen,
            checked: $question->isChecked(),
            locked: $question->locked,
            outcome: $question->isChecked() ? $outcome : null,
        );
    }
}
