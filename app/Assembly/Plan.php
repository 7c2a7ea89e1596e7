<?php

declare(strict_types=1);

namespace App\Assembly;

use Uplandia\Core\Assembly\Supply;

/** What a recipe comes to for one candidate, before anything is drawn: parts of the test, and what each gives. */
final readonly class Plan
{
    /**
     * @param  list<string>  $codes  of the topics that stand for the parts
     * @param  list<list<int>>  $topics  ids of the topics of each part
     * @param  list<Supply>  $supplies  what each part has to give
     * @param  list<int>|null  $counts  what it gives; null: the test cannot be made
     * @param  array<int, Supply>  $byTopic  topic id => what it has to give, whether it is part of the test or not
     * @param  array<int, int>  $passing  topic id => how many of its questions pass, each by itself
     * @param  int  $available  questions in all, cases and sets whole
     * @param  int|null  $below  the largest count under what is wanted that can be made
     * @param  int|null  $above  the smallest count over it
     * @param  array<string, int>  $short  code of a topic => how many are missing there
     * @param  bool  $holdsBack  whether questions of a running sitting are left out of the selection
     */
    public function __construct(
        public array $codes,
        public array $topics,
        public array $supplies,
        public ?array $counts,
        public array $byTopic,
        public array $passing,
        public int $available,
        public ?int $below,
        public ?int $above,
        public array $short,
        public Selection $selection,
        public bool $holdsBack,
    ) {
    }

    /** As many as are wanted; where whole cases and sets do not make exactly so many, the nearest number they do. */
    public function nearest(int $wanted): int
    {
        return $this->counts !== null ? $wanted : $this->below ?? ($this->above ?? min($wanted, $this->available));
    }
}
