<?php

declare(strict_types=1);

namespace Uplandia\Core\Assembly;

use Brick\Math\BigRational;
use Uplandia\Core\Marking\MarkScheme;
use Uplandia\Core\Question\Kind;

/** A section of a blueprint: how many questions, of what sort, and what each is worth. */
final readonly class Section
{
    /**
     * @param  int  $questions  how many, at least one
     * @param  MarkScheme  $scheme  of each question
     * @param  list<Kind>  $kinds  of question allowed; empty: any
     * @param  array<string, int>  $units  how many of each sort of unit (case, passage, series); empty: questions that
     *                                     stand alone
     * @param  int|null  $minutes  of its own; then sections are sat in their turn
     */
    public function __construct(
        public string $code,
        public string $name,
        public int $questions,
        public MarkScheme $scheme,
        public array $kinds,
        public array $units,
        public ?int $minutes = null,
    ) {
    }

    public function possible(): BigRational
    {
        return $this->scheme->marks->multipliedBy($this->questions);
    }
}
