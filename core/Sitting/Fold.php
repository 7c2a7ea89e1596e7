<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

/**
 * Folds the events of a sitting into its state. The result depends on the set of events only: any order and any
 * repetition of deliveries give the same. Source: computation.md, section 4.
 *
 * Events are taken in the order in which the server received them, since time is the server's: what moves the clock
 * and what locks a question hold from then on. Among what was done to one question the candidate's own sequence
 * decides, so that saves which overtake each other on the way do no harm.
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
        return Folding::of($terms, $events)->at($now);
    }
}
