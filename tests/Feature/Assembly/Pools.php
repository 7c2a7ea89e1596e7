<?php

declare(strict_types=1);

namespace Tests\Feature\Assembly;

use Uplandia\Core\Assembly\Pool;

/** What a pool holds, said a second time for tests. */
final class Pools
{
    /** @param  object|null  $standing  a row; null: the candidate has none with the question */
    public static function hold(Pool $pool, ?object $standing): bool
    {
        return match ($pool) {
            Pool::NewToMe => $standing?->outcome === null,
            Pool::Flagged => (bool) $standing?->flagged,
            Pool::Starred => (bool) $standing?->starred,
            Pool::WithNotes => (bool) $standing?->noted,
            Pool::FalseFooting => (bool) $standing?->false_footing,
            Pool::InGapBook => (bool) $standing?->gap_open,
            Pool::Due => $standing?->due_day !== null && $standing->due_day <= intdiv(time(), 86_400),
            Pool::GotIt => $standing?->outcome === 'right',
            Pool::ToBeMarked => $standing?->outcome === 'pending',
            Pool::Missed, Pool::Partly, Pool::LeftBlank => $standing?->outcome === $pool->value,
        };
    }
}
