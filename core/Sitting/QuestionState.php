<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

/** What the events say of one question. */
final readonly class QuestionState
{
    /**
     * @param  array<mixed>|null  $response  the last one; null: none, or cleared
     * @param  array<mixed>|null  $firstResponse  the first that was not empty
     * @param  list<string>  $struck  option ids ruled out
     * @param  bool  $seen  it was on screen, or answered
     * @param  int|null  $checkedAt  when its answer was shown (tutor mode), Unix milliseconds; null: it was not
     * @param  bool  $locked  no further answer counts, whatever the clock says
     * @param  int  $activeMs  on screen while the sitting was active
     * @param  array<string, string>|null  $rubricMarks  points the candidate gave a written answer; null: not marked
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
    ) {
    }

    public function isChecked(): bool
    {
        return $this->checkedAt !== null;
    }
}
