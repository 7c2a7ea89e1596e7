<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Contract\MapOf;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Sitting\QuestionState;
use Uplandia\Core\Sitting\Sureness;

final readonly class QuestionStateView
{
    /**
     * @param  list<string>  $struck
     * @param  bool  $locked  No further answer counts: it is checked, closed, or has not its turn yet.
     * @param  bool  $closed  By a later one of its series, by a break, or by its time.
     * @param  Outcome|null  $outcome  Only once this sitting may see it.
     * @param  list<TryView>  $tries
     * @param  int  $activeMs  On screen so far, milliseconds.
     */
    public function __construct(
        public int $position,
        #[MapOf('mixed')] public ?object $response,
        public bool $flagged,
        public array $struck,
        public ?Sureness $sureness,
        public bool $seen,
        public bool $checked,
        public bool $locked,
        public bool $closed,
        public ?Outcome $outcome,
        public array $tries,
        public int $activeMs,
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
            closed: $question->closed && ! $question->isChecked(),
            outcome: $question->isChecked() ? $outcome : null,
            tries: $tries,
            activeMs: $question->activeMs,
        );
    }
}
