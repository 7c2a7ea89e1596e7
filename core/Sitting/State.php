<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

/** A sitting at one moment. Moments are Unix milliseconds, durations milliseconds. */
final readonly class State
{
    /**
     * @param  list<QuestionState>  $questions
     * @param  int|null  $current  the question on screen
     * @param  int|null  $deadline  when the nearest clock (question, section or whole) runs out; null: none runs
     * @param  int|null  $remainingMs  active time left on that clock
     * @param  int|null  $readingUntil  when answering begins by itself; null: it has, or nothing has begun
     * @param  bool  $byClock  it ended because time ran out
     * @param  array<string, string>  $refused  event id => why it does not count
     * @param  list<int>  $sectionEnds  when sections with a clock of their own were over
     * @param  bool  $waited  its device had no contact when time ran out, and came back later
     */
    public function __construct(
        public Status $status,
        public array $questions,
        public ?int $startedAt,
        public ?int $endedAt,
        public bool $byClock,
        public ?int $current,
        public int $section,
        public int $activeMs,
        public ?int $deadline,
        public ?int $remainingMs,
        public array $refused,
        public int $breaksLeft = 0,
        public ?int $readingUntil = null,
        public array $sectionEnds = [],
        public bool $waited = false,
    ) {
    }

    public function answered(): int
    {
        return count(
            array_filter($this->questions, static fn (QuestionState $question): bool => $question->response !== null),
        );
    }
}
