<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Refusal;
use App\Question\SyllabusTopic;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Question\QuestionSet;

/** The questions of an exam that pass some filters for one candidate: what counting, drawing and searching go by. */
final class Selection
{
    private ?QuestionSet $passing = null;

    /** @param  list<int>  $heldBack  questions that are left out, whatever the filters say */
    public function __construct(
        public readonly OwnBank $bank,
        private readonly Filters $filters,
        private readonly array $heldBack = [],
    ) {
    }

    /** The same by other filters. */
    public function by(Filters $filters): self
    {
        return new self(bank: $this->bank, filters: $filters, heldBack: $this->heldBack);
    }

    /**
     * The same without some questions.
     *
     * @param  list<int>  $heldBack
     */
    public function without(array $heldBack): self
    {
        return new self(bank: $this->bank, filters: $this->filters, heldBack: $heldBack);
    }

    /**
     * @return array<int, SyllabusTopic> those that are asked for, by id, in the order of the blueprint
     *
     * @throws Refusal for a topic that the exam does not have
     */
    public function topics(): array
    {
        $syllabus = $this->bank->candidacy->syllabus();
        $chosen = $this->filters->topics();

        return $chosen === null
            ? $syllabus->all()
            : array_intersect_key($syllabus->all(), array_flip(array_merge([], ...$syllabus->chosen($chosen))));
    }

    /** Questions that pass, each by itself. */
    public function passing(): QuestionSet
    {
        return $this->passing ??= array_reduce(
            $this->filters->passing($this->bank),
            fn (QuestionSet $passing, QuestionSet $set): QuestionSet => $passing->and($set),
            $this->bank->live()->without(QuestionSet::of($this->heldBack)),
        );
    }
}
