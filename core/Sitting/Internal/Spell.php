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

    /** Its place in the candidate's own sequence; null: the server said it of its own, and its moments alone cut. */
    private readonly ?int $seq;

    /** What ended it, by the candidate's word: its sequence, and when it was said; null: the server did. */
    private ?int $endSeq = null;

    private int $endSaid = 0;

    /** When the server knew of it: of a lost contact only once it was back. */
    private readonly int $known;

    public function __construct(Event $began)
    {
        $this->from = $began->at;
        $this->seq = $began->isTheServers() ? null : $began->seq;
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
            $open->endSeq = $event->isTheServers() ? null : $event->seq;
            $open->endSaid = $event->doneAt();
        }

        return null;
    }

    /**
     * Whether something was done in it. Events come in the order of receipt, so one that comes while the spell is open
     * was done in it, unless it was done before and overtaken on the way, or kept until contact was back: however many
     * waited, since the server's own spell has no place among their sequence numbers.
     */
    public function holds(Event $event): bool
    {
        if ($this->to !== null) {
            return $event->doneAt() > $this->from && $event->doneAt() < $this->to && ! $this->cameAfter($event);
        }
        $overtaken =
            $event->doneAt() <= $this->from &&
            $event->at <= $this->known + Fold::GRACE_MS &&
            ($this->seq === null || $event->seq < $this->seq);

        return ! $overtaken;
    }

    /** Whether it was done after the word that ended the spell was said, and came with that word or later. */
    private function cameAfter(Event $event): bool
    {
        return $this->endSeq !== null &&
            $event->seq > $this->endSeq &&
            $event->doneAt() >= $this->endSaid &&
            $event->at >= $this->to;
    }
}
