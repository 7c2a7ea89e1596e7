<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

/** Turns wall time into active time and back: the spells between pauses, laid end to end. Milliseconds. */
final readonly class ActiveTime
{
    /** @param  list<array{int, int|null, int}>  $spells  from, to (null: still running), active time at `from` */
    private function __construct(private array $spells)
    {
    }

    /** @param  list<array{int, int|null}>  $pauses  from, to (null: still paused), in order and apart */
    public static function since(int $start, array $pauses): self
    {
        $spells = [];
        $active = 0;
        $from = $start;
        foreach ($pauses as [$pausedAt, $resumedAt]) {
            $spells[] = [$from, $pausedAt, $active];
            $active += $pausedAt - $from;
            if ($resumedAt === null) {
                return new self($spells);
            }
            $from = $resumedAt;
        }
        $spells[] = [$from, null, $active];

        return new self($spells);
    }

    /** Active time up to a moment. */
    public function upTo(int $wall): int
    {
        $low = 0;
        $high = count($this->spells) - 1;
        while ($low < $high) {
            $middle = intdiv($low + $high + 1, 2);
            if ($this->spells[$middle][0] <= $wall) {
                $low = $middle;
            } else {
                $high = $middle - 1;
            }
        }
        [$from, $to, $before] = $this->spells[$low];

        return $before + max(0, min($wall, $to ?? $wall) - $from);
    }

    /** The moment at which so much active time has passed; null when a pause comes first and has not ended. */
    public function momentOf(int $active): ?int
    {
        foreach ($this->spells as [$from, $to, $before]) {
            if ($to === null || $active <= $before + $to - $from) {
                return $from + $active - $before;
            }
        }

        return null;
    }
}
