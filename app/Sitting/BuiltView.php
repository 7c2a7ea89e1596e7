<?php

declare(strict_types=1);

namespace App\Sitting;

final readonly class BuiltView
{
    /** @param  string  $sitting  The sitting that is ready to begin. */
    private function __construct(
        public string $sitting,
    ) {
    }

    public static function of(Sitting $sitting): self
    {
        return new self($sitting->id);
    }
}
