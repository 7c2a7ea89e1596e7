<?php

declare(strict_types=1);

namespace App\Assembly;

/** A topic of the real exam. */
final readonly class ExamTopicView
{
    /**
     * @param  string|null  $weight  Exact, in per cent.
     * @param  int  $questions  In the bank.
     * @param  list<ExamSubtopicView>  $subtopics
     */
    public function __construct(
        public string $code,
        public string $name,
        public ?string $weight,
        public int $questions,
        public array $subtopics,
    ) {
    }
}
