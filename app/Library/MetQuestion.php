<?php

declare(strict_types=1);

namespace App\Library;

use App\Clock\Moment;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Revisit\Memory;
use Uplandia\Core\Revisit\Scheduler;

/** A question as a candidate has met it. */
final readonly class MetQuestion
{
    /**
     * @param  string  $excerpt  the stem's beginning, without Markdown
     * @param  string  $topic  name of the topic at the top
     * @param  int  $seenAt  Unix milliseconds
     * @param  Outcome|null  $outcome  the latest; null: only marked so far
     * @param  string  $note  empty: none
     * @param  int|null  $dueDay  a count of days; null: it does not come back
     * @param  string|null  $sitting  the latest that is handed in; null: none is
     */
    public function __construct(
        public string $excerpt,
        public Kind $kind,
        public string $topic,
        public string $subtopic,
        public ?Outcome $outcome,
        public bool $flagged,
        public bool $starred,
        public bool $inGapBook,
        public int $misses,
        public int $seen,
        public int $seenAt,
        public string $note,
        public ?int $dueDay,
        public ?float $stability,
        public ?int $rememberedDay,
        public bool $retired,
        public ?string $sitting,
        public ?int $position,
    ) {
    }

    /** The date on which it comes back, the day before the exam at the latest. */
    public function due(?int $examDay): ?string
    {
        return $this->dueDay === null
            ? null
            : Moment::date($examDay === null ? $this->dueDay : min($this->dueDay, $examDay - 1));
    }

    /** The chance that it is still known, 0 to 1; null: it was left blank the last time, or nothing is marked yet. */
    public function recall(int $today): ?float
    {
        return $this->outcome === Outcome::LeftBlank || $this->stability === null || $this->rememberedDay === null
            ? null
            // Of how difficult it is to remember the chance knows nothing.
            : Scheduler::recall(new Memory($this->stability, 1.0), $today - $this->rememberedDay);
    }
}
