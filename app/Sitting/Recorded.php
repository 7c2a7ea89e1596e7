<?php

declare(strict_types=1);

namespace App\Sitting;

use Uplandia\Core\Sitting\State;

/** What became of events that were sent. */
final readonly class Recorded
{
    /** @param  array<string, string>  $refused  event id => why it does not count */
    public function __construct(public State $state, public array $refused, public int $lastSeq)
    {
    }
}
