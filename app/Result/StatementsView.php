<?php

declare(strict_types=1);

namespace App\Result;

final readonly class StatementsView
{
    /**
     * @param  list<array<string, mixed>>  $statements  Statements of xAPI 1.0.3: one for each question that was on
     *     screen, one for the sitting.
     */
    public function __construct(
        public array $statements,
    ) {
    }
}
