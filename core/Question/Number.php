<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Brick\Math\BigRational;

/** A number with a tolerance, and a unit if one is asked for. */
final readonly class Number implements Question
{
    /** The tolerance as a distance: max(absolute, relative·|key|). */
    public BigRational $tolerance;

    /**
     * @param  BigRational  $absolute  in the unit of the key, not negative
     * @param  BigRational  $relative  a share of |key|, not negative
     * @param  array<string, BigRational>  $units  accepted unit => factor that turns it into the key's unit; empty: no
     *   unit asked for
     * @param  list<BigRational>  $slips  wrong values that people come to
     *
     * @throws InvalidQuestion
     */
    public function __construct(
        public BigRational $key,
        BigRational $absolute,
        BigRational $relative,
        public array $units = [],
        public array $slips = [],
    ) {
        if ($absolute->getSign() < 0 || $relative->getSign() < 0) {
            throw InvalidQuestion::because('A tolerance cannot be negative.');
        }
        foreach ($units as $unit => $factor) {
            if ($factor->getSign() <= 0) {
                throw InvalidQuestion::because("The factor of unit \"{$unit}\" must be more than 0.");
            }
        }
        $share = $relative->multipliedBy($key->abs());
        $this->tolerance = $absolute->isGreaterThan($share) ? $absolute : $share;
    }

    /** The same question with another key and the same distance of tolerance. */
    public function at(BigRational $key): self
    {
        return new self(key: $key, absolute: $this->tolerance, relative: BigRational::zero(), units: $this->units);
    }

    public function kind(): Kind
    {
        return Kind::Number;
    }
}
