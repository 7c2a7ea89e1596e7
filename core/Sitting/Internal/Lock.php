<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting\Internal;

use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\Fold;

/** What closed a question, and from when on. It holds from the moment the server knew of it. */
final readonly class Lock
{
    public function __construct(private Event $by, public string $why)
    {
    }

    /** Only what was done before and was overtaken on the way still counts, for as long as a deadline is gracious. */
    public function holdsAgainst(Event $event): bool
    {
        return $event->seq > $this->by->seq || $event->at > $this->by->at + Fold::GRACE_MS;
    }
}
