<?php

declare(strict_types=1);

namespace Uplandia\Core\Marking;

use Brick\Math\BigRational;
use Uplandia\Core\Exact;

/**
 * What a question is worth and what a wrong answer costs. Source: computation.md, section 2.
 *
 * Example: 3 marks with a penalty of 1/3: right 3, wrong −1, left blank 0.
 */
final readonly class MarkScheme
{
    public BigRational $marks;

    public BigRational $penalty;

    /**
     * @param  BigRational|int|string  $marks  not negative
     * @param  BigRational|int|string  $penalty  share of the marks lost when answered with no credit, 0 to 1
     *
     * @throws InvalidScheme
     */
    public function __construct(BigRational|int|string $marks = 1, BigRational|int|string $penalty = 0)
    {
        $this->marks =
            Exact::parse($marks) ?? throw InvalidScheme::because('Marks must be an exact number.', 'not_exact');
        $this->penalty =
            Exact::parse($penalty) ?? throw InvalidScheme::because('A penalty must be an exact number.', 'not_exact');
        if ($this->marks->getSign() < 0) {
            throw InvalidScheme::because('A question cannot be worth less than 0 marks.');
        }
        if ($this->penalty->getSign() < 0 || $this->penalty->isGreaterThan(1)) {
            throw InvalidScheme::because('A penalty is a share of the marks, from 0 to 1.');
        }
    }

    /** The penalty that makes blind guessing worth nothing on average: 1/(options − 1). */
    public static function correctingForGuessing(BigRational|int|string $marks, int $options): self
    {
        if ($options < 2) {
            throw InvalidScheme::because('Correction for guessing needs at least two options.');
        }

        return new self($marks, BigRational::nd(1, $options - 1));
    }

    /** Marks for a credit; 0 while it is blank or pending. */
    public function marksFor(Credit $credit): BigRational
    {
        return match ($credit->outcome) {
            Outcome::Right => $this->marks,
            Outcome::Partly => ($credit->share ?? BigRational::zero())->multipliedBy($this->marks)->simplified(),
            Outcome::Missed => $this->penalty->multipliedBy($this->marks)->negated()->simplified(),
            Outcome::LeftBlank, Outcome::NotReached, Outcome::Pending => BigRational::zero(),
        };
    }
}
