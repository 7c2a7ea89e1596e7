<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

/** A question of the bank: its difficulty b on the scale of ability, and the chance c of being right by luck. */
final readonly class Item
{
    public function __construct(public float $b, public float $c)
    {
    }
}
