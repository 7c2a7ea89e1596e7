<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

use Brick\Math\BigRational;
use Uplandia\Core\Marking\Outcome;

/**
 * What a set of questions came to. Both shares are always given: of everything, and of what was answered. What was not
 * reached counts as blank here. A case is the sum of its questions, so it needs no rule of its own.
 * Source: computation.md, sections 1, 2 and 5.
 */
final readonly class Totals
{
    /** A sitting of which less was answered stays out of statistics (computation.md, sections 7, 10 and 11). */
    private const COUNTS_FROM = '0.8';

    private function __construct(
        public int $questions,
        public int $right,
        public int $partly,
        public int $missed,
        public int $leftBlank,
        public int $notReached,
        public int $pending,
        /** May be negative. */
        public BigRational $marks,
        public BigRational $possible,
        /** Possible marks of the questions that were answered and are marked. */
        public BigRational $possibleAnswered,
        /** Possible marks of the written answers that wait to be marked. */
        public BigRational $possiblePending,
        /** Marks that penalties took away, not negative. */
        public BigRational $penalties,
        /** Σm² over the questions that do not wait to be marked. */
        private BigRational $squares,
    ) {
    }

    /** @param  iterable<Marked>  $questions */
    public static function of(iterable $questions): self
    {
        $count = array_fill_keys(array_column(Outcome::cases(), 'value'), 0);
        $marks = $possible = $answered = $pending = $penalties = $squares = BigRational::zero();
        foreach (self::alike($questions) as [$question, $n]) {
            $worth = $question->scheme->marks->multipliedBy($n);
            $earned = $question->scheme->marksFor($question->credit)->multipliedBy($n);
            $count[$question->credit->outcome->value] += $n;
            $marks = $marks->plus($earned)->simplified();
            $possible = $possible->plus($worth)->simplified();
            if ($earned->getSign() < 0) {
                $penalties = $penalties->minus($earned)->simplified();
            }
            if ($question->credit->outcome === Outcome::Pending) {
                $pending = $pending->plus($worth)->simplified();

                continue;
            }
            $squares = $squares->plus($worth->multipliedBy($question->scheme->marks))->simplified();
            if ($question->credit->wasAnswered()) {
                $answered = $answered->plus($worth)->simplified();
            }
        }

        return new self(
            questions: array_sum($count),
            right: $count['right'],
            partly: $count['partly'],
            missed: $count['missed'],
            leftBlank: $count['left_blank'],
            notReached: $count['not_reached'],
            pending: $count['pending'],
            marks: $marks,
            possible: $possible,
            possibleAnswered: $answered,
            possiblePending: $pending,
            penalties: $penalties,
            squares: $squares,
        );
    }

    /**
     * Questions of the same worth that came to the same, together: of 500 there are a handful, and each exact sum is
     * dear.
     *
     * @param  iterable<Marked>  $questions
     * @return array<string, array{Marked, int}> one of them, and how many there are
     */
    private static function alike(iterable $questions): array
    {
        $alike = [];
        foreach ($questions as $question) {
            $key = "{$question->scheme->marks} {$question->scheme->penalty} {$question->credit->share} ".
                $question->credit->outcome->value;
            $alike[$key] ??= [$question, 0];
            $alike[$key][1]++;
        }

        return $alike;
    }

    public function answered(): int
    {
        return $this->questions - $this->leftBlank - $this->notReached;
    }

    /** Questions that do not wait to be marked. */
    public function settled(): int
    {
        return $this->questions - $this->pending;
    }

    /** Whether enough was answered for statistics: at least 80 %. */
    public function counts(): bool
    {
        return $this->questions > 0 &&
            BigRational::of($this->answered())->isGreaterThanOrEqualTo(
                BigRational::of(self::COUNTS_FROM)->multipliedBy($this->questions),
            );
    }

    /** Marks that were to be had of what is settled and were not, what penalties took away included. */
    public function lost(): BigRational
    {
        return $this->possible->minus($this->possiblePending)->minus($this->marks)->simplified();
    }

    /** Marks over all marks possible; null when nothing could be earned. May be negative. */
    public function shareOfAll(): ?BigRational
    {
        return self::share($this->marks, $this->possible);
    }

    /** Marks over the marks possible on what does not wait to be marked; null when there is none. May be negative. */
    public function shareOfSettled(): ?BigRational
    {
        return self::share($this->marks, $this->possible->minus($this->possiblePending));
    }

    /** Marks over the marks possible on what was answered and marked; null when nothing was. May be negative. */
    public function shareOfAnswered(): ?BigRational
    {
        return self::share($this->marks, $this->possibleAnswered);
    }

    /** How many questions of equal marks would tell as much: (Σm)²/Σm² over what is settled (Kish 1965). */
    public function effectiveQuestions(): float
    {
        if ($this->squares->getSign() === 0) {
            return 0.0;
        }
        $settled = $this->possible->minus($this->possiblePending);

        return $settled->multipliedBy($settled)->dividedBy($this->squares)->toFloat();
    }

    private static function share(BigRational $marks, BigRational $possible): ?BigRational
    {
        return $possible->getSign() === 0 ? null : $marks->dividedBy($possible)->simplified();
    }
}
