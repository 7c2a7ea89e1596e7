<?php

declare(strict_types=1);

namespace Uplandia\Core\Scoring;

use Brick\Math\BigRational;
use Uplandia\Core\Marking\Outcome;

/**
 * What a set of questions came to. Both shares are always given: of everything, and of what was answered.
 * A case is the sum of its questions, so it needs no rule of its own. Source: computation.md, section 2.
 */
final readonly class Totals
{
    private function __construct(
        public int $questions,
        public int $right,
        public int $partly,
        public int $missed,
        public int $leftBlank,
        public int $pending,
        /** May be negative. */
        public BigRational $marks,
        public BigRational $possible,
        /** Possible marks of the questions that were answered and are marked. */
        public BigRational $possibleAnswered,
        /** Possible marks of the written answers that wait to be marked. */
        public BigRational $possiblePending,
    ) {
    }

    /** @param  iterable<Marked>  $questions */
    public static function of(iterable $questions): self
    {
        $count = ['right' => 0, 'partly' => 0, 'missed' => 0, 'left_blank' => 0, 'pending' => 0];
        $marks = $possible = $answered = $pending = BigRational::zero();
        foreach ($questions as $question) {
            $worth = $question->scheme->marks;
            $count[$question->credit->outcome->value]++;
            $marks = $marks->plus($question->scheme->marksFor($question->credit))->simplified();
            $possible = $possible->plus($worth)->simplified();
            if ($question->credit->outcome === Outcome::Pending) {
                $pending = $pending->plus($worth)->simplified();
            } elseif ($question->credit->wasAnswered()) {
                $answered = $answered->plus($worth)->simplified();
            }
        }

        return new self(array_sum($count), $count['right'], $count['partly'], $count['missed'], $count['left_blank'], $count['pending'], $marks, $possible, $answered, $pending);
    }

    public function answered(): int
    {
        return $this->questions - $this->leftBlank;
    }

    /** Marks over all marks possible; null when nothing could be earned. May be negative. */
    public function shareOfAll(): ?BigRational
    {
        return self::share($this->marks, $this->possible);
    }

    /** Marks over the marks possible on what was answered and marked; null when nothing was. May be negative. */
    public function shareOfAnswered(): ?BigRational
    {
        return self::share($this->marks, $this->possibleAnswered);
    }

    private static function share(BigRational $marks, BigRational $possible): ?BigRational
    {
        return $possible->getSign() === 0 ? null : $marks->dividedBy($possible)->simplified();
    }
}
