<?php

declare(strict_types=1);

namespace App\Bench;

/** An answer of a server. */
final readonly class Heard
{
    /** @param  int  $peak  bytes of memory it took */
    public function __construct(public float $ms, public int $peak, public string $body)
    {
    }
}
