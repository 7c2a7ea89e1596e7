<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Sitting\State;
use Uplandia\Core\Sitting\Status;

/** Where a sitting stands. Moments are Unix milliseconds of the server's clock, durations milliseconds. */
#[OA\Schema(schema: 'SittingState')]
final readonly class StateView
{
    /** @param  list<QuestionStateView>  $questions */
    public function __construct(
        #[OA\Property(enum: Status::class)] public Status $status,
        #[OA\Property] public int $now,
        #[OA\Property(nullable: true)] public ?int $deadline,
        #[OA\Property(nullable: true)] public ?int $remainingMs,
        #[OA\Property] public int $activeMs,
        #[OA\Property(nullable: true)] public ?int $current,
        #[OA\Property] public int $answered,
        #[OA\Property] public int $breaksLeft,
        #[OA\Property(description: 'When reading is over by itself; null: it is.', nullable: true)]
        public ?int $readingUntil,
        #[OA\Property] public int $lastSeq,
        #[OA\Property(description: 'Of what has been checked, where it was asked for.', nullable: true)]
        public ?ScoreView $score,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(ref: QuestionStateView::class),
                description: 'Those that were asked for or have changed.',
            ),
        ]
        public array $questions,
        #[
            OA\Property(
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(type: 'string'),
                description: 'Event id: why it does not count.',
            ),
        ]
        public object $refused,
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
