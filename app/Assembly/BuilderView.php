<?php

declare(strict_types=1);

namespace App\Assembly;

/** What the builder shows before anything is chosen. */
final readonly class BuilderView
{
    /**
     * @param  list<TopicCountsView>  $topics
     * @param  float  $minutesPerQuestion  Minutes that the real exam gives a question.
     * @param  string  $extraTime  Factor of this candidate's time limits.
     */
    public function __construct(
        public string $exam,
        public string $examName,
        public CountsView $counts,
        public array $topics,
        public float $minutesPerQuestion,
        public string $extraTime,
    ) {
    }
}
