<?php

declare(strict_types=1);

namespace App\Result;

/** The right answers and the reasons of a whole sitting, in its order. */
final readonly class KeyView
{
    /** @param  list<ExplanationView>  $answers */
    public function __construct(
        public array $answers,
    ) {
    }
}
