<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

/** What the events say of one question. */
final readonly class QuestionState
{
    /**
     * @param  array<mixed>|null  $response  what counts: the first try, else the last one; null: none, or cleared
     * @param  array<mixed>|null  $firstResponse  the first that was not empty
     * @param  list<string>  $struck  option ids ruled out when the answer that counts was given
     * @param  bool  $seen  it was on screen, or answered
     * @param  int|null  $checkedAt  when its answer was shown (in no timed test), Unix milliseconds; null: not
     * @param  bool  $locked  no further answer counts, whatever the clock says
     * @param  bool  $closed  locked by a later one of its series, by a break or by its time: answered or left blank
     * @param  int  $activeMs  on screen while the sitting was active
     * @param  array<string, string>|null  $rubricMarks  points the candidate gave a written answer; null: not marked
     * @param  list<array<mixed>>  $tries  responses of which the candidate asked whether they are right (tutor mode)
     * @param  array<mixed>|null  $latest  the last response, whether it counts or not
     * @param  list<string>  $ruledOut  option ids ruled out now
     * @param  int|null  $answeredAt  when the response that counts was given, Unix milliseconds; null: none ever was
     */
    public function __construct(
        public ?array $response,
        public ?array $firstResponse,
        public int $changes,
        public bool $flagged,
        public array $struck,
        public ?Sureness $sureness,
        public bool $seen,
        public ?int $checkedAt,
        public bool $locked,
        public int $activeMs,
        public ?array $rubricMarks = null,
        public array $tries = [],
        public ?array $latest = null,
        public array $ruledOut = [],
        public ?int $answeredAt = null,
        public bool $closed = false,
    ) {
    }

    public function isChecked(): bool
    {
        return $this->checkedAt !== null;
    }
}
