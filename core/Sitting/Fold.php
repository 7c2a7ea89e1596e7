<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

/**
 * Folds the events of a sitting into its state. The result depends on the set of events only: any order and any
 * repetition give the same. Source: computation.md, section 4.
 *
 * Two orders matter. What moves the clock (started, paused, resumed, break, section, handed in) goes by the moment the
 * server received it, since time is the server's. What the candidate did to a question goes by their own sequence, so
 * that saves which overtake each other on the way do no harm.
 */
final class Fold
{
    /** An answer made before a deadline counts when it arrives up to this much after it. */
    public const GRACE_MS = 5000;

    /**
     * @param  iterable<Event>  $events
     * @param  int  $now  the server's clock, Unix milliseconds
     */
    public static function of(Terms $terms, iterable $events, int $now): State
    {
        $unique = [];
        foreach ($events as $event) {
            $unique[$event->id] ??= $event;
        }
        $clock = Internal\Clock::of($terms, $unique);

        return (new Internal\Questions($terms, $clock, $unique))->at($now);
    }
}
