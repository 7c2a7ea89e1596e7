<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting\Internal;

use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\Fold;

/** What closed a question, and from when on. It holds from the moment the server knew of it. */
final readonly class Lock
{
    private int $seq;

    private int $at;

    public function __construct(Event $by, public string $why)
    {
        $this->seq = $by->seq;
        $this->at = $by->at;
    }

    /** Only what was done before and was overtaken on the way still counts, for as long as a deadline is gracious. */
    public function holdsAgainst(Event $event): bool
    {
        return $event->seq > $this->seq || $event->at > $this->at + Fold::GRACE_MS;
    }
}
