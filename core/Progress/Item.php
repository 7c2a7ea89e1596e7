<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

/**
 * Questions of the bank that are alike: their difficulty b on the scale of ability, the chance c of being right by
 * luck.
 */
final readonly class Item
{
    /** @param  int  $n  how many there are of it */
    public function __construct(public float $b, public float $c, public int $n = 1)
    {
    }
}
