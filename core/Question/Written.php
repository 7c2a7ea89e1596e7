<?php

declare(strict_types=1);

namespace Uplandia\Core\Question;

use Brick\Math\BigRational;

/** A written answer that the candidate marks against a rubric. */
final readonly class Written implements Question
{
    public BigRational $possible;

    /**
     * @param  array<string, BigRational>  $rubric  criterion id => points it can give, more than 0
     *
     * @throws InvalidQuestion
     */
    public function __construct(public array $rubric)
    {
        $possible = BigRational::zero();
        foreach ($rubric as $id => $points) {
            if ($points->getSign() <= 0) {
                throw InvalidQuestion::because("Criterion \"{$id}\" must be worth more than 0 points.");
            }
            $possible = $possible->plus($points);
        }
        if ($rubric === []) {
            throw InvalidQuestion::because('A written answer needs a rubric.');
        }
        $this->possible = $possible;
    }

    public function kind(): Kind
    {
        return Kind::Written;
    }
}
