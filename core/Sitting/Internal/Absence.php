<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting\Internal;

use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\Fold;

/** A time without contact over which a clock ran out, as the server noted when the device came back. */
final readonly class Absence
{
    /** @param  list<array{int, int|null}>  $gaps  in which the device did not run; null: still */
    private function __construct(public int $since, public int $until, private array $gaps)
    {
    }

    /** @return self|null null: the event says nothing of one */
    public static function toldBy(Event $event): ?self
    {
        $value = is_array($event->value) ? $event->value : [];
        $gaps = [];
        foreach (is_array($value['gaps'] ?? null) ? $value['gaps'] : [] as $gap) {
            [$from, $until] = [...array_values(is_array($gap) ? $gap : []), null, null];
            if (is_int($from)) {
                $gaps[] = [$from, is_int($until) ? $until : null];
            }
        }

        return is_int($value['since'] ?? null) ? new self($value['since'], $event->at, $gaps) : null;
    }

    /** Whether a moment lies in it. */
    public function covers(int $moment): bool
    {
        return $this->since <= $moment && $moment <= $this->until;
    }

    /** Whether something comes with the first word after it. */
    public function endsWith(Event $event): bool
    {
        return $event->at >= $this->until && $event->at <= $this->until + Fold::GRACE_MS;
    }

    /** Whether the device ran when something was done. */
    public function ranAt(int $moment): bool
    {
        foreach ($this->gaps as [$from, $until]) {
            if ($moment > $from && ($until === null || $moment < $until)) {
                return false;
            }
        }

        return true;
    }
}
