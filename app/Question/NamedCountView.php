<?php

declare(strict_types=1);

namespace App\Question;

/** How many share something that has a code and a name: gaps of a topic, questions of it. */
final readonly class NamedCountView
{
    public function __construct(
        public string $code,
        public string $name,
        public int $n,
    ) {
    }
}
