<?php

declare(strict_types=1);

namespace App\Plan;

/** Questions of one topic. */
final readonly class PlanPartView
{
    public function __construct(
        public string $code,
        public string $name,
        public int $questions,
    ) {
    }
}
