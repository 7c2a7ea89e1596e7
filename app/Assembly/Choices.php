<?php

declare(strict_types=1);

namespace App\Assembly;

use Uplandia\Core\Sitting\Mode;

/** What a candidate chose in the builder. */
final readonly class Choices
{
    /**
     * @param  list<string>  $topics  codes of topics or subtopics; a topic stands for all of its subtopics
     * @param  list<Pool>  $pools  any of them; none: all questions
     * @param  int|null  $minutes  time limit, for timed mode
     */
    public function __construct(
        public array $topics,
        public array $pools,
        public int $count,
        public Mode $mode,
        public Spread $spread,
        public ?int $minutes,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['topics' => $this->topics, 'pools' => array_column($this->pools, 'value'), 'count' => $this->count, 'mode' => $this->mode->value, 'spread' => $this->spread->value, 'minutes' => $this->minutes];
    }
}
