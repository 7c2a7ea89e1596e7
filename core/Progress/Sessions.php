<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

/**
 * When one studied: whatever follows within half an hour belongs to the same session, though it may be another test.
 * Example: answers at 9:00, 9:20 and 11:00 are two sessions; the second answer came in the 21st minute of its own.
 */
final readonly class Sessions
{
    public const GAP_MS = 30 * 60_000;

    /** @param  list<int>  $starts  Unix milliseconds, rising */
    private function __construct(private array $starts)
    {
    }

    /** @param  list<int>  $moments  of answers, Unix milliseconds, in any order */
    public static function of(array $moments): self
    {
        sort($moments);
        $starts = [];
        foreach ($moments as $i => $moment) {
            if ($i === 0 || $moment - $moments[$i - 1] > self::GAP_MS) {
                $starts[] = $moment;
            }
        }

        return new self($starts);
    }

    /** Full minutes from the start of its session to a moment; 0 before the first. */
    public function minute(int $moment): int
    {
        $low = 0;
        $high = count($this->starts);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($this->starts[$middle] <= $moment) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        $start = $this->starts[$low - 1] ?? null;

        return $start === null ? 0 : intdiv($moment - $start, 60_000);
    }
}
