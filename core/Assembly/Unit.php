<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

/** Questions that are drawn together and in order: one alone, or all of a case, passage set or series. */
final readonly class Unit
{
    /**
     * @param  list<int>  $questions  ids in order, at least one
     * @param  int|null  $lastSeen  Unix seconds of the latest time any of them was seen; null: never
     */
    public function __construct(public array $questions, public ?int $lastSeen = null)
    {
    }
}
