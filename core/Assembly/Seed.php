<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** A seed and what is drawn with it: each purpose has a stream of its own, so that adding one never moves another. */
final readonly class Seed
{
    public function __construct(public string $value)
    {
    }

    /** @param  string  $purpose  such as "draw" or "options:17" */
    public function stream(string $purpose): Randomizer
    {
        return new Randomizer(new Xoshiro256StarStar(hash('sha256', "{$this->value}|{$purpose}", true)));
    }
}
