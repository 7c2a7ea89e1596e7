<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

use Brick\Math\BigRational;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Sitting\PacePlan;

/**
 * How time went over a test, in its order, against the pace plan. Own times add up to no more than the active time, so
 * the end of the course may lie before it. Source: computation.md, sections 4 and 5.
 */
final readonly class Course
{
    /** @param  list<Leg>  $legs  of the questions that were on screen */
    private function __construct(public array $legs)
    {
    }

    /** @param  list<QuestionResult>  $results  in the order of the test */
    public static function of(array $results, ?PacePlan $plan): self
    {
        $legs = [];
        $spent = 0;
        $marks = BigRational::zero();
        foreach ($results as $result) {
            if ($result->credit->outcome === Outcome::NotReached) {
                continue;
            }
            $spent += $result->ms;
            // What was left blank is not dealt with: nobody gets ahead by turning pages.
            $marks = $result->credit->wasAnswered() ? $marks->plus($result->scheme->marks)->simplified() : $marks;
            $legs[] = new Leg($result->position, $spent, $plan?->timeFor($marks));
        }

        return new self($legs);
    }

    /** At the end, planned less spent: positive ahead, negative behind; null: no plan, or nothing was seen. */
    public function ahead(): ?int
    {
        $last = $this->legs[count($this->legs) - 1] ?? null;

        return $last?->planned === null ? null : $last->planned - $last->spent;
    }
}
