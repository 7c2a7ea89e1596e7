<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting\Internal;

use Uplandia\Core\Marking\Response;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\Sureness;

/**
 * What was done to one question. Of two things done to the same part, the later in the candidate's own sequence
 * counts.
 */
final class Entry
{
    public bool $flagged = false;

    /** @var list<string> */
    public array $struck = [];

    public ?Sureness $sureness = null;

    public bool $seen = false;

    public ?Event $checkedBy = null;

    public ?Lock $lock = null;

    public int $activeMs = 0;

    /** @var array<string, string>|null points by criterion */
    public ?array $rubricMarks = null;

    /** @var array<int, array<mixed>|null> sequence => response */
    private array $responses = [];

    /** @var array<string, int> part => sequence of what counts */
    private array $last = [];

    public function answer(int $seq, mixed $value): void
    {
        $this->responses[$seq] = Response::orNone($value);
    }

    /** @return array<mixed>|null */
    public function response(): ?array
    {
        return $this->responses === [] ? null : $this->responses[max(array_keys($this->responses))];
    }

    /** @return array<mixed>|null the first that was not empty */
    public function firstResponse(): ?array
    {
        ksort($this->responses);
        foreach ($this->responses as $response) {
            if ($response !== null) {
                return $response;
            }
        }

        return null;
    }

    /** How often an answer was changed or taken back, once there was one. */
    public function changes(): int
    {
        ksort($this->responses);
        $before = null;
        $changes = 0;
        $answered = false;
        foreach ($this->responses as $response) {
            $changes += $answered && ! Response::same($before, $response) ? 1 : 0;
            $answered = $answered || $response !== null;
            $before = $response;
        }

        return $changes;
    }

    /** Whether a thing done to a part is later than what is known of it; if so, it is known from now on. */
    public function isLatest(string $part, int $seq): bool
    {
        if ($seq < ($this->last[$part] ?? PHP_INT_MIN)) {
            return false;
        }
        $this->last[$part] = $seq;

        return true;
    }
}
