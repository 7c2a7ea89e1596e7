<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

use Brick\Math\BigRational;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\MarkScheme;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Sitting\Sureness;

/** One question of a handed-in sitting, with everything that a result looks at. */
final readonly class QuestionResult
{
    /**
     * @param  int  $position  in the test, from 0
     * @param  array<string, string|list<string>>  $labels  what it may be grouped by: topic, subtopic, section,
     *   difficulty, kind, and each family of tags as "tag:family"
     * @param  Credit  $credit  for the last response
     * @param  Credit|null  $firstCredit  for the first response that was not empty; null: there was none
     * @param  int  $ms  on screen while active
     * @param  float|null  $cohortMedianMs  null: not known
     * @param  float  $luck  chance of being right by luck: 1/options for choices, 0 for typed answers
     * @param  list<string>  $options  option ids of a single-answer question, else none
     * @param  list<string>  $struck  option ids ruled out
     * @param  int  $changes  how often the response was changed
     */
    public function __construct(
        public int $position,
        public array $labels,
        public Credit $credit,
        public MarkScheme $scheme,
        public ?Credit $firstCredit = null,
        public int $ms = 0,
        public ?float $cohortMedianMs = null,
        public ?Sureness $sureness = null,
        public float $luck = 0.0,
        public array $options = [],
        public array $struck = [],
        public ?string $key = null,
        public int $changes = 0,
    ) {
    }

    /** Credit as a float; blank and pending count as nothing. */
    public function share(): float
    {
        return $this->credit->share?->toFloat() ?? 0.0;
    }

    /** Marks that were to be had and were not, with what a wrong answer took away; 0 while it waits to be marked. */
    public function lost(): BigRational
    {
        return $this->credit->outcome === Outcome::Pending
            ? BigRational::zero()
            : $this->scheme->marks->minus($this->scheme->marksFor($this->credit))->simplified();
    }

    public function isRapidGuess(): bool
    {
        return $this->credit->wasAnswered() && RapidGuess::is($this->ms, $this->cohortMedianMs);
    }

    /** @return list<string> options of a single-answer question that were struck */
    public function ruledOut(): array
    {
        return array_values(array_intersect($this->options, $this->struck));
    }

    public function ruledOutKey(): bool
    {
        return $this->key !== null && in_array($this->key, $this->ruledOut(), true);
    }

    /** Whether all but two options were struck. */
    public function isNarrowedToTwo(): bool
    {
        $struck = count($this->ruledOut());

        return $struck > 0 && count($this->options) - $struck === 2;
    }

    /**
     * @param  list<self>  $results
     * @return list<Marked>
     */
    public static function marked(array $results): array
    {
        return array_map(static fn (self $result): Marked => new Marked($result->credit, $result->scheme), $results);
    }
}
