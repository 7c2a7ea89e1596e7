<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

/** A place on a picture, as shares of its width and height (0 to 1, from the top left). */
final readonly class Point
{
    public function __construct(public float $x, public float $y)
    {
    }
}
