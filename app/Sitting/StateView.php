<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Contract\MapOf;
use App\Http\Contract\Named;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Sitting\State;
use Uplandia\Core\Sitting\Status;

/** Where a sitting stands. Moments are Unix milliseconds of the server's clock, durations milliseconds. */
#[Named('SittingState')]
final readonly class StateView
{
    /**
     * @param  int|null  $readingUntil  When reading is over by itself; null: it is.
     * @param  ScoreView|null  $score  Of what has been checked, where it was asked for.
     * @param  list<QuestionStateView>  $questions  Those that were asked for or have changed.
     * @param  object  $refused  Event id: why it does not count.
     */
    public function __construct(
        public Status $status,
        public int $now,
        public ?int $deadline,
        public ?int $remainingMs,
        public int $activeMs,
        public ?int $current,
        public int $answered,
        public int $breaksLeft,
        public ?int $readingUntil,
        public int $lastSeq,
        public ?ScoreView $score,
        public array $questions,
        #[MapOf('string')] public object $refused,
    ) {
    }

    /**
     * @param  list<int>  $positions  of the questions to tell of
     * @param  array<int, string>  $outcomes  by position, only those this sitting may see
     * @param  array<string, string>  $refused
     * @param  array<int, list<TryView>>  $tries  by position
     */
    public static function of(
        State $state,
        int $now,
        int $lastSeq,
        array $positions,
        array $outcomes,
        ?ScoreView $score,
        array $refused = [],
        array $tries = [],
    ): self {
        $questions = [];
        foreach ($positions as $position) {
            if (isset($state->questions[$position])) {
                $outcome = isset($outcomes[$position]) ? Outcome::from($outcomes[$position]) : null;
                $questions[] = QuestionStateView::of(
                    position: $position,
                    question: $state->questions[$position],
                    outcome: $outcome,
                    tries: $tries[$position] ?? [],
                );
            }
        }

        return new self(
            status: $state->status,
            now: $now,
            deadline: $state->deadline,
            remainingMs: $state->remainingMs,
            activeMs: $state->activeMs,
            current: $state->current,
            answered: $state->answered(),
            breaksLeft: $state->breaksLeft,
            readingUntil: $state->readingUntil,
            lastSeq: $lastSeq,
            score: $score,
            questions: $questions,
            refused: (object) $refused,
        );
    }
}
