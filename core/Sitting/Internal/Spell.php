<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting\Internal;

use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\Fold;

/** A pause or a break: from one event until another. */
final class Spell
{
    public readonly int $from;

    public ?int $to = null;

    private readonly int $seq;

    /** When the server knew of it: of a lost contact only once it was back. */
    private readonly int $known;

    public function __construct(Event $began)
    {
        $this->from = $began->at;
        $this->seq = $began->seq;
        $this->known = $began->isTheServers() && is_int($began->value) ? $began->value : $began->at;
    }

    /** @param  list<self>  $spells */
    public static function open(array $spells): ?self
    {
        $last = $spells[count($spells) - 1] ?? null;

        return $last?->to === null ? $last : null;
    }

    /** @param  list<self>  $spells */
    public static function close(array $spells, Event $event): null
    {
        $open = self::open($spells);
        if ($open !== null) {
            $open->to = $event->at;
        }

        return null;
    }

    /**
     * Whether something was done in it. Events come in the order of receipt, so one that comes while the spell is open
     * was done in it, unless it was done before and overtaken on the way, or kept until contact was back.
     */
    public function holds(Event $event): bool
    {
        if ($this->to !== null) {
            return $event->doneAt() > $this->from && $event->doneAt() < $this->to;
        }
        $overtaken =
            $event->doneAt() <= $this->from &&
            $event->at <= $this->known + Fold::GRACE_MS &&
            ($event->seq < $this->seq || $this->known > $this->from);

        return ! $overtaken;
    }
}
