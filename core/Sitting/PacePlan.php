<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Uplandia\Core\Exact;

/**
 * Time for each mark: (time − reading − reserve) / marks. Durations are milliseconds of active time.
 * Source: computation.md, section 4. Example: 150 min, 10 reserve, 80 marks → 1.75 min a mark.
 */
final readonly class PacePlan
{
    private function __construct(public BigRational $perMark)
    {
    }

    /**
     * @param  BigRational|int|string  $marks  of the whole test, more than 0
     *
     * @throws InvalidTerms
     */
    public static function of(int $time, int $reading, int $reserve, BigRational|int|string $marks): self
    {
        $left = $time - $reading - $reserve;
        $marks = Exact::parse($marks) ?? throw InvalidTerms::because('Marks must be an exact number.', 'not_exact');
        if ($left <= 0) {
            throw InvalidTerms::because('Reading and reserve leave no time for the questions.');
        }
        if ($marks->getSign() <= 0) {
            throw InvalidTerms::because('A pace plan needs marks to plan for.');
        }

        return new self(BigRational::of($left)->dividedBy($marks)->simplified());
    }

    /** Planned time for so many marks. */
    public function timeFor(BigRational|int|string $marks): int
    {
        return $this->perMark->multipliedBy($marks)->toScale(0, RoundingMode::HALF_UP)->toInt();
    }

    /** Planned time of the marks dealt with less the active time used: positive is ahead, negative behind. */
    public function ahead(BigRational|int|string $marksDealtWith, int $active): int
    {
        return $this->timeFor($marksDealtWith) - $active;
    }
}
