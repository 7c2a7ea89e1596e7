<?php

declare(strict_types=1);

namespace App\Result;

use Uplandia\Core\Question\Difficulty;
use Uplandia\Core\Question\Kind;
use Uplandia\Core\Result\Cause;
use Uplandia\Core\Result\QuestionResult;

/** One question of a handed-in sitting: what the core looks at, and what stands beside it. */
final readonly class SatQuestion
{
    /**
     * @param  string  $topic  name of the topic at the top
     * @param  string  $subtopic  its name
     * @param  array<mixed>  $shown  half of the version that a candidate may see before its time
     * @param  array<mixed>  $withheld  the other half
     * @param  array<mixed>|null  $response  null: left blank
     * @param  int  $settledMs  when it was handed in or checked
     * @param  float|null  $facility  null: not known of enough others
     */
    public function __construct(
        public QuestionResult $result,
        public string $topic,
        public string $subtopic,
        public array $shown,
        public array $withheld,
        public int $questionId,
        public int $versionId,
        public Kind $kind,
        public Difficulty $difficulty,
        public ?array $response,
        public int $settledMs,
        public ?float $facility,
        public bool $flagged,
        public bool $starred,
        public bool $noted,
        public ?Cause $cause,
        public bool $inGapBook,
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
