<?php

declare(strict_types=1);

namespace App\Library;

final readonly class TopicHitView
{
    /** @param  int  $n  Its questions. */
    public function __construct(public string $code, public string $name, public int $n)
    {
    }
}
