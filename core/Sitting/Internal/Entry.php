<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting\Internal;

use Uplandia\Core\Marking\Response;
use Uplandia\Core\Sitting\Sureness;

/**
 * What was done to one question. Of two things done to the same part, the later in the candidate's own sequence
 * counts.
 */
final class Entry
{
    private const MOST_TRIES = 10;

    public bool $flagged = false;

    /** @var list<string> */
    public array $struck = [];

    public ?Sureness $sureness = null;

    public bool $seen = false;

    /** Unix milliseconds; null: it was not. */
    public ?int $checkedAt = null;

    public ?Lock $lock = null;

    public int $activeMs = 0;

    /** @var array<string, string>|null points by criterion */
    public ?array $rubricMarks = null;

    /** @var list<string>|null options ruled out at the first try; null: there was none */
    public ?array $struckThen = null;

    /** @var array<int, array<mixed>|null> sequence => response, since the last snapshot */
    private array $responses = [];

    /**
     * Of the responses that a snapshot holds: the latest sequence, the first response, the latest, how many changes.
     */
    private ?int $keptUpTo = null;

    /** @var array<mixed>|null */
    private ?array $keptFirst = null;

    /** @var array<mixed>|null */
    private ?array $keptLast = null;

    private int $keptChanges = 0;

    /** @var list<array<mixed>> responses of which it was asked whether they are right */
    private array $tries = [];

    /** @var array<mixed>|null the first response at the first try */
    private ?array $firstThen = null;

    private int $changesThen = 0;

    /** Unix milliseconds of the latest response, of those that may count; null: there was none. */
    private ?int $answeredAt = null;

    /** @var array<string, int> part => sequence of what counts */
    private array $last = [];

    /** @param  int  $at  when it was given, Unix milliseconds */
    public function answer(int $seq, int $at, mixed $value): void
    {
        if ($this->tries === [] && $this->isLatest('answered', $seq)) {
            $this->answeredAt = $at;
        }
        $this->responses[$seq] = Response::orNone($value);
    }

    public function follows(int $seq): bool
    {
        return $this->keptUpTo === null || $seq > $this->keptUpTo;
    }

    /**
     * Asks whether the response is right, and may give another one after that. The first try counts.
     *
     * @return string|null why it cannot be; null: it was done
     */
    public function try(): ?string
    {
        $response = $this->response();
        if ($response === null) {
            return 'There is no answer to try yet.';
        }
        if (count($this->tries) >= self::MOST_TRIES) {
            return 'That is enough tries; the reasons tell more.';
        }
        if ($this->tries === []) {
            [$this->firstThen, $this->changesThen, $this->struckThen] = [
                $this->firstResponse(), $this->changes(), $this->struck,
            ];
        }
        if ($this->tries === [] || ! Response::same($this->tries[count($this->tries) - 1], $response)) {
            $this->tries[] = $response;
        }

        return null;
    }

    /** @return list<array<mixed>> */
    public function tries(): array
    {
        return $this->tries;
    }

    public function answeredAt(): ?int
    {
        return $this->answeredAt;
    }

    /** @return array<mixed>|null what counts */
    public function counted(): ?array
    {
        return $this->tries[0] ?? $this->response();
    }

    /** @return array<mixed>|null the last one */
    public function response(): ?array
    {
        return $this->responses === [] ? $this->keptLast : $this->responses[max(array_keys($this->responses))];
    }

    /** @return array<mixed>|null the first that was not empty */
    public function firstResponse(): ?array
    {
        if ($this->tries !== []) {
            return $this->firstThen;
        }
        ksort($this->responses);
        $first = $this->keptFirst;
        foreach ($this->responses as $response) {
            $first ??= $response;
        }

        return $first;
    }

    /** How often an answer was changed or taken back, once there was one. */
    public function changes(): int
    {
        if ($this->tries !== []) {
            return $this->changesThen;
        }
        ksort($this->responses);
        $before = $this->keptLast;
        $changes = $this->keptChanges;
        $answered = $this->keptFirst !== null;
        foreach ($this->responses as $response) {
            $changes += $answered && ! Response::same($before, $response) ? 1 : 0;
            $answered = $answered || $response !== null;
            $before = $response;
        }

        return $changes;
    }

    /**
     * A snapshot keeps no list of responses, however often one changed one's mind.
     *
     * @return list<string>
     */
    public function __sleep(): array
    {
        if ($this->responses !== []) {
            [$this->keptFirst, $this->keptChanges, $this->keptLast, $this->keptUpTo] = [
                $this->firstResponse(), $this->changes(), $this->response(), max(array_keys($this->responses)),
            ];
            $this->responses = [];
        }

        return [
            'flagged', 'struck', 'sureness', 'seen', 'checkedAt', 'lock', 'activeMs', 'rubricMarks', 'keptUpTo',
            'keptFirst', 'keptLast', 'keptChanges', 'last', 'tries', 'struckThen', 'firstThen', 'changesThen',
            'answeredAt',
        ];
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
