<?php

declare(strict_types=1);

namespace App\Result;

final readonly class ReviewView
{
    /** @param  list<QuestionLineView>  $items */
    public function __construct(
        public string $sitting,
        public string $exam,
        public string $title,
        public array $items,
    ) {
    }
}
