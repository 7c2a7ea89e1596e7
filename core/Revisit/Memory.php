<?php

declare(strict_types=1);

namespace Uplandia\Core\Revisit;

/** How firmly a question is remembered. */
final readonly class Memory
{
    /**
     * @param  float  $stability  days until the chance of recall falls to 0.9
     * @param  float  $difficulty  1 (easy) to 10
     */
    public function __construct(public float $stability, public float $difficulty)
    {
    }
}
