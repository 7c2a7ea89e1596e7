<?php

declare(strict_types=1);

namespace App\Result;

/** A point of a rubric. */
final readonly class CriterionView
{
    /**
     * @param  string  $text  Markdown.
     * @param  string  $points  The most it can give.
     * @param  string  $why  Markdown.
     */
    public function __construct(
        public string $id,
        public string $text,
        public string $points,
        public string $why,
    ) {
    }
}
