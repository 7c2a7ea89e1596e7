<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** The rules a sitting was started under. Durations are milliseconds of active time. */
final readonly class Terms
{
    /**
     * @param  list<Item>  $items  one for each question
     * @param  int|null  $limit  for the whole sitting; null: none
     * @param  list<int|null>  $sectionLimits  one for each section; a section with a limit is sat in its turn
     * @param  int|null  $questionLimit  for each question; then there is no going back
     * @param  bool  $pausable  a pause stops the clock (practice)
     * @param  int  $breaks  how many breaks may be taken; a break does not stop the clock and locks what was seen
     *
     * @throws InvalidTerms
     */
    public function __construct(
        public Mode $mode,
        public array $items,
        public ?int $limit = null,
        public array $sectionLimits = [],
        public ?int $questionLimit = null,
        public bool $pausable = true,
        public int $breaks = 0,
    ) {
        foreach ([$limit, $questionLimit, ...$sectionLimits] as $duration) {
            if ($duration !== null && $duration < 1000) {
                throw InvalidTerms::because('A time limit must be at least one second.');
            }
        }
        if ($items === []) {
            throw InvalidTerms::because('A sitting needs at least one question.');
        }
    }

    /**
     * The same terms for a candidate who is given more time.
     *
     * @param  string  $factor  such as "1.25", not below 1
     *
     * @throws InvalidTerms
     */
    public function withExtraTime(string $factor): self
    {
        $exact = BigRational::of($factor);
        if ($exact->isLessThan(1)) {
            throw InvalidTerms::because('Extra time cannot take time away.');
        }
        $longer = static fn (?int $ms): ?int => $ms === null ? null : $exact->multipliedBy($ms)->toScale(0, RoundingMode::UP)->toInt();

        return new self($this->mode, $this->items, $longer($this->limit), array_map($longer, $this->sectionLimits), $longer($this->questionLimit), $this->pausable, $this->breaks);
    }

    /** Whether sections are sat one after the other. */
    public function sectionsInTurn(): bool
    {
        return array_filter($this->sectionLimits) !== [];
    }
}
