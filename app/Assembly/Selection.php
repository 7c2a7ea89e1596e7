<?php

declare(strict_types=1);

namespace App\Assembly;

use App\Http\Refusal;
use App\Question\OwnStandings;
use App\Question\Syllabus;
use App\Question\SyllabusTopic;
use App\Question\TextSearch;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Pool;
use Uplandia\Core\Assembly\SearchText;

/**
 * The questions of an exam that pass some filters for one candidate: the one query behind counting, drawing and
 * searching.
 */
final readonly class Selection
{
    /** @var list<int>|null ids of the topics that are asked for, in the blueprint's order; null: all of the exam */
    private ?array $topics;

    /**
     * @param  Syllabus  $syllabus  of the exam
     * @param  list<int>  $heldBack  questions that are left out, whatever the filters say
     * @param  int|null  $dueUntil  the last day on which what is scheduled is due; null: all that is scheduled is
     *
     * @throws Refusal for a topic that the exam does not have
     */
    public function __construct(
        private TextSearch $search,
        public int $exam,
        private int $user,
        private Filters $filters,
        private Syllabus $syllabus,
        private ?int $dueUntil,
        private array $heldBack = [],
    ) {
        $this->topics = $filters->topics === null ? null : array_merge([], ...$syllabus->chosen($filters->topics));
    }

    /** The same by other filters. */
    public function by(Filters $filters): self
    {
        return new self(
            search: $this->search,
            exam: $this->exam,
            user: $this->user,
            filters: $filters,
            syllabus: $this->syllabus,
            dueUntil: $this->dueUntil,
            heldBack: $this->heldBack,
        );
    }

    /**
     * The same without some questions.
     *
     * @param  list<int>  $heldBack
     */
    public function without(array $heldBack): self
    {
        return new self(
            search: $this->search,
            exam: $this->exam,
            user: $this->user,
            filters: $this->filters,
            syllabus: $this->syllabus,
            dueUntil: $this->dueUntil,
            heldBack: $heldBack,
        );
    }

    /** @return array<int, SyllabusTopic> those that are asked for, by id, in the order of the blueprint */
    public function topics(): array
    {
        return $this->topics === null
            ? $this->syllabus->all()
            : array_intersect_key($this->syllabus->all(), array_flip($this->topics));
    }

    public function needsStandings(): bool
    {
        return $this->filters->pools !== [];
    }

    public function holdsNew(): bool
    {
        return in_array(Pool::NewToMe, $this->filters->pools, true);
    }

    /** Live questions that pass everything but the pools. */
    public function questions(): Builder
    {
        $query = DB::table('questions')->where('questions.exam_id', $this->exam)->whereNull('questions.retired_at');
        if ($this->topics !== null) {
            $query->whereIntegerInRaw('questions.topic_id', collect($this->topics));
        }
        if ($this->heldBack !== []) {
            $query->whereIntegerNotInRaw('questions.id', collect($this->heldBack));
        }
        if ($this->filters->only !== []) {
            $query->whereIntegerInRaw('questions.id', collect($this->filters->only));
        }
        if ($this->filters->difficulties !== []) {
            $query->whereIn('questions.difficulty', array_column($this->filters->difficulties, 'value'));
        }
        if ($this->filters->kinds !== []) {
            $query->whereIn('questions.kind', array_column($this->filters->kinds, 'value'));
        }
        foreach ($this->filters->tags as $family => $values) {
            $query->whereIn(
                'questions.id',
                fn (Builder $tags): Builder => $tags
                    ->from('question_tags')
                    ->select('question_id')
                    ->where('family', $family)
                    ->whereIn('value', $values),
            );
        }

        return $this->search->narrow($query, 'questions.id', SearchText::of($this->filters->words));
    }

    /** The same with the candidate's standings beside them, where there are any. */
    public function withStandings(Builder $questions): Builder
    {
        return OwnStandings::beside($questions, $this->user);
    }

    /**
     * Only those that the candidate has met or marked. The search begins there and not in the bank, which SQLite would
     * take for the better way: it knows how large tables are, and not how little one person has met.
     */
    public function fromStandings(Builder $questions): Builder
    {
        $joined = $questions->joins ?? [];
        $questions->joins = null;
        $this->own(
            $questions
                ->from('standings')
                ->crossJoin('questions')
                ->whereColumn('questions.id', 'standings.question_id'),
        );
        $questions->joins = [...$questions->joins ?? [], ...$joined];

        return $questions;
    }

    /** Only those that the candidate has met or marked, looked up one by one: where few questions are asked about. */
    public function besideStandings(Builder $questions): Builder
    {
        return $questions
            ->crossJoin('standings')
            ->whereColumn('standings.question_id', 'questions.id')
            ->where('standings.user_id', $this->user);
    }

    /** What the candidate has met or marked of the topics, whatever has become of the questions. */
    public function standings(): Builder
    {
        return $this->own(DB::table('standings'));
    }

    /**
     * The same, of questions that are retired, and of those that belong to a unit: few, and looked for one by one.
     *
     * @return list<Builder>
     */
    public function standingsOfOthers(): array
    {
        return [
            $this->standingsOfRetired(),
            $this->looked(
                DB::table('questions')->whereNull('questions.retired_at')->whereNotNull('questions.unit_id'),
            ),
        ];
    }

    /** The same, of questions that are retired. */
    public function standingsOfRetired(): Builder
    {
        return $this->looked(DB::table('questions')->whereNotNull('questions.retired_at'));
    }

    private function looked(Builder $questions): Builder
    {
        return $this->own(
            $questions
                ->where('questions.exam_id', $this->exam)
                ->crossJoin('standings')
                ->whereColumn('standings.question_id', 'questions.id'),
        );
    }

    /** Standings of the candidate, in the exam and its topics. */
    private function own(Builder $standings): Builder
    {
        $standings->where('standings.user_id', $this->user)->where('standings.exam_id', $this->exam);

        return $this->topics === null
            ? $standings
            : $standings->whereIntegerInRaw('standings.topic_id', collect($this->topics));
    }

    /** Whether only what was never seen is wanted. */
    public function wantsNewOnly(): bool
    {
        return $this->filters->pools === [Pool::NewToMe];
    }

    /** Whether nothing is asked of the questions but their topics. */
    public function isPlain(): bool
    {
        return $this->heldBack === [] &&
            $this->filters->only === [] &&
            $this->filters->difficulties === [] &&
            $this->filters->kinds === [] &&
            $this->filters->tags === [] &&
            $this->filters->words === '';
    }

    /**
     * Whether what passes is all that the topics hold, as it is kept beside them, less what was met and is not
     * wanted.
     */
    public function isKept(): bool
    {
        return $this->isPlain() && (! $this->needsStandings() || $this->holdsNew());
    }

    /** Whether what is asked of the questions leaves few of them: then the search had better begin there. */
    public function isNarrow(): bool
    {
        return $this->filters->tags !== [] || $this->filters->words !== '' || $this->filters->only !== [];
    }

    /** Only those in one of the pools; needs standings. */
    public function inPools(Builder $query): Builder
    {
        return $this->needsStandings() ? $query->where($this->anyPool(...)) : $query;
    }

    /** Only those that were met and are in none of the pools; needs standings. */
    public function metElsewhere(Builder $query): Builder
    {
        return $query->whereNotNull('standings.outcome')->whereNot($this->anyPool(...));
    }

    /**
     * Whether a question is in a pool, as SQL and its bindings. Never unknown, so that it can be turned round: of what
     * has no due day, SQL would know neither that it is due nor that it is not.
     *
     * @return array{string, list<int|string|null>}
     */
    public function isIn(Pool $pool): array
    {
        return match ($pool) {
            Pool::NewToMe => ['standings.outcome is null', []],
            Pool::Flagged => ['standings.flagged', []],
            Pool::Starred => ['standings.starred', []],
            Pool::WithNotes => ['standings.noted', []],
            Pool::FalseFooting => ['standings.false_footing', []],
            Pool::InGapBook => ['standings.gap_open', []],
            Pool::Due => $this->dueUntil === null
                ? ['standings.due_day is not null', []]
                : ['(standings.due_day is not null and standings.due_day <= ?)', [$this->dueUntil]],
            default => ['standings.outcome = ?', [$pool->outcome()?->value]],
        };
    }

    private function anyPool(Builder $any): void
    {
        foreach ($this->filters->pools as $pool) {
            $any->orWhereRaw(...$this->isIn($pool));
        }
    }
}
