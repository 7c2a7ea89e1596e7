<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

use Brick\Math\BigRational;
use Uplandia\Core\Question\Kind;

/** A section of a blueprint: how many questions, of what sort, and what each is worth. */
final readonly class Section
{
    /**
     * @param  int  $questions  how many, at least one
     * @param  BigRational  $marks  for each question
     * @param  BigRational  $penalty  share of the marks lost by a wrong answer; 0: none
     * @param  list<Kind>  $kinds  of question allowed; empty: any
     * @param  array<string, int>  $units  how many of each sort of unit (case, passage, series); empty: questions that stand alone
     */
    public function __construct(public string $code, public string $name, public int $questions, public BigRational $marks, public BigRational $penalty, public array $kinds, public array $units)
    {
    }

    public function possible(): BigRational
    {
        return $this->marks->multipliedBy($this->questions);
    }
}
