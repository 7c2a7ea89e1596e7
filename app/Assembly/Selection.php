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

    /** @var array<int, list<int>>|null */
    private ?array $alone = null;

    /** @var array<int, array{int, int, non-empty-list<int>, array<int, int>}>|null */
    private ?array $together = null;

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

    /** @return array<int, SyllabusTopic> the same, without those that weigh nothing in the exam */
    public function weighing(): array
    {
        $syllabus = $this->bank->candidacy->syllabus();
        $weighs = fn (SyllabusTopic $topic): bool => (float) $syllabus->topOf($topic->id)->weight > 0;

        return array_filter($this->topics(), $weighs);
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

    /**
     * What stands alone and passes.
     *
     * @return array<int, list<int>> topic id => ids, ascending; empty ones are left out
     *
     * @throws Refusal for a topic that the exam does not have
     */
    public function alone(): array
    {
        $alone = fn (): array => $this->bank->alone(array_keys($this->topics()));

        return $this->alone ??= array_filter(
            // Of everything, all passes.
            $this->filters->isEmpty() && $this->heldBack === []
                ? $alone()
                : array_map($this->passing()->among(...), $alone()),
        );
    }

    /**
     * Cases, passage sets and series of which at least one question passes.
     *
     * @return array<int, array{int, int, non-empty-list<int>, array<int, int>}> unit id => topic it is filed under,
     *   size, questions that pass, and topic of each of its questions
     */
    public function together(): array
    {
        if ($this->together === null) {
            $this->together = [];
            foreach ($this->bank->units() as $unit => $topics) {
                $passing = $this->passing()->among(array_keys($topics));
                if ($passing !== []) {
                    $this->together[$unit] = [$topics[$passing[0]], count($topics), $passing, $topics];
                }
            }
        }

        return $this->together;
    }
}
