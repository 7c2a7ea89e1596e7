<?php

declare(strict_types=1);

namespace App\Assembly;

final readonly class TopicCountsView
{
    /**
     * @param  string|null  $weight  Percentage of the exam, for topics of the blueprint.
     * @param  int  $all  Questions in all, each where it belongs.
     * @param  int  $new  Of those, what is new to the candidate.
     * @param  list<self>  $subtopics
     */
    public function __construct(
        public string $code,
        public string $name,
        public ?string $weight,
        public int $all,
        public int $new,
        public array $subtopics,
    ) {
    }
}
