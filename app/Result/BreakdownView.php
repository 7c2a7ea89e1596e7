<?php

declare(strict_types=1);

namespace App\Result;

/** A result by one thing that its questions have in common. */
final readonly class BreakdownView
{
    /**
     * @param  string  $by  topic, section, difficulty, kind, or "tag:" and a family of tags.
     * @param  list<GroupView>  $groups
     */
    public function __construct(
        public string $by,
        public array $groups,
    ) {
    }
}
