<?php

declare(strict_types=1);

namespace App\Result;

use stdClass;
use Uplandia\Core\Result\QuestionResult;

/** One question of a handed-in sitting: what the core looks at, and the row that it was read from. */
final readonly class SatQuestion
{
    /**
     * @param  string  $topic  name of the topic at the top
     * @param  string  $subtopic  its name
     * @param  array<mixed>  $shown  half of the version that a candidate may see before its time
     * @param  array<mixed>  $withheld  the other half
     */
    public function __construct(
        public QuestionResult $result,
        public string $topic,
        public string $subtopic,
        public array $shown,
        public array $withheld,
        public stdClass $row,
    ) {
    }

    /** @return list<string> codes of the sections of the handbook that its reasons refer to */
    public function references(): array
    {
        return array_values(array_filter((array) ($this->withheld['references'] ?? []), is_string(...)));
    }

    public function stem(): string
    {
        return is_string($this->shown['stem'] ?? null) ? $this->shown['stem'] : '';
    }
}
