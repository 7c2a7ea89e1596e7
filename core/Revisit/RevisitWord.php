<?php

declare(strict_types=1);

namespace Uplandia\Core\Revisit;

/** What a candidate has said of when a question should come back. */
final readonly class RevisitWord
{
    /**
     * @param  int  $at  Unix milliseconds
     * @param  bool  $suspended  never, until they say otherwise
     * @param  int|null  $until  not before that day; the next answer makes it void
     */
    public function __construct(public int $at, public bool $suspended, public ?int $until)
    {
    }

    /**
     * @param  int|null  $dueDay  as the schedule has it
     * @param  int  $seenAt  when it was met last, Unix milliseconds
     */
    public function over(?int $dueDay, int $seenAt): ?int
    {
        return match (true) {
            $this->suspended || $dueDay === null => null,
            $this->until === null || $this->at <= $seenAt => $dueDay,
            default => max($dueDay, $this->until),
        };
    }
}
