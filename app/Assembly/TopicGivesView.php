<?php

declare(strict_types=1);

namespace App\Assembly;

/** A topic that cannot give exactly as many questions as were typed beside it. */
final readonly class TopicGivesView
{
    /** @param  int  $n  The most it can give of those; 0: none. */
    public function __construct(public string $code, public string $name, public int $n)
    {
    }
}
