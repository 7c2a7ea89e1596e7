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
    /**
     * @param  list<string>  $struck
     * @param  list<TryView>  $tries
     */
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
        #[OA\Property(type: 'array', items: new OA\Items(ref: TryView::class))] public array $tries,
        #[OA\Property(description: 'On screen so far, milliseconds.')] public int $activeMs,
    ) {
    }

    /** @param  list<TryView>  $tries */
    public static function of(int $position, QuestionState $question, ?Outcome $outcome, array $tries): self
    {
        return new self(
            position: $position,
            response: $question->latest === null ? null : (object) $question->latest,
            flagged: $question->flagged,
            struck: $question->ruledOut,
            sureness: $question->sureness,
            seen: $question->seen,
            checked: $question->isChecked(),
            locked: $question->locked,
            outcome: $question->isChecked() ? $outcome : null,
            tries: $tries,
            activeMs: $question->activeMs,
        );
    }
}
