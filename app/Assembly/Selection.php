<?php

declare(strict_types=1);

namespace App\Assembly;

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
    /**
     * @param  list<int>|null  $topics  ids; null: all of the exam
     * @param  list<int>  $heldBack  questions that are left out, whatever the filters say
     * @param  int|null  $dueUntil  the last day on which what is scheduled is due; null: all that is scheduled is
     */
    public function __construct(
        private TextSearch $search,
        private int $exam,
        private int $user,
        private Filters $filters,
        private ?array $topics,
        private array $heldBack,
        private ?int $dueUntil,
    ) {
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
        return $questions->leftJoin(
            'standings',
            fn ($join) => $join
                ->on('standings.question_id', '=', 'questions.id')
                ->where('standings.user_id', $this->user),
        );
    }

    /**
     * Only those that the candidate has met or marked. The search begins there and not in the bank, which SQLite would
     * take for the better way: it knows how large tables are, and not how little one person has met.
     */
    public function fromStandings(Builder $questions): Builder
    {
        $joined = $questions->joins ?? [];
        $questions->joins = null;
        $questions
            ->from('standings')
            ->crossJoin('questions')
            ->whereColumn('questions.id', 'standings.question_id')
            ->where('standings.user_id', $this->user)
            ->where('standings.exam_id', $this->exam)
            ->when($this->topics !== null, fn (Builder $some): Builder => $some
                ->whereIntegerInRaw('standings.topic_id', collect($this->topics)));
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

    /** What the candidate has met or marked of the exam, whatever has become of the questions. */
    public function standings(): Builder
    {
        return DB::table('standings')
            ->where('standings.user_id', $this->user)
            ->where('standings.exam_id', $this->exam);
    }

    /**
     * The same, of questions that are retired, and of those that belong to a unit: few, and looked for one by one.
     *
     * @return list<Builder>
     */
    public function standingsOfOthers(): array
    {
        $looked = fn (Builder $questions): Builder => $questions
            ->where('questions.exam_id', $this->exam)
            ->crossJoin('standings')
            ->whereColumn('standings.question_id', 'questions.id')
            ->where('standings.user_id', $this->user)
            ->where('standings.exam_id', $this->exam);

        return [
            $looked(DB::table('questions')->whereNotNull('questions.retired_at')),
            $looked(DB::table('questions')->whereNull('questions.retired_at')->whereNotNull('questions.unit_id')),
        ];
    }

    /** Whether only what was never seen is wanted. */
    public function wantsNewOnly(): bool
    {
        return $this->filters->pools === [Pool::NewToMe];
    }

    /** Whether nothing is asked of the questions but their topics. */
    public function isPlain(): bool
    {
        return $this->heldBack === [] && $this->filters->only === []
            && $this->filters->difficulties === [] && $this->filters->kinds === []
            && $this->filters->tags === [] && $this->filters->words === '';
    }

    /** Whether what is asked of the questions leaves few of them: then the search had better begin there. */
    public function isNarrow(): bool
    {
        return $this->filters->tags !== [] || $this->filters->words !== '' || $this->filters->only !== [];
    }

    /** @return list<int>|null topic ids; null: all of the exam */
    public function topics(): ?array
    {
        return $this->topics;
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

    /** Said in full: of what has no due day, SQL would know neither that it is due nor that it is not. */
    private function isDue(Builder $due): void
    {
        $due->whereNotNull('standings.due_day');
        if ($this->dueUntil !== null) {
            $due->where('standings.due_day', '<=', $this->dueUntil);
        }
    }

    /**
     * Whether a standing is in a pool that goes by a mark, as SQL and its bindings.
     *
     * @return array{string, list<int>}
     */
    public function isIn(Pool $pool): array
    {
        return match ($pool) {
            Pool::Flagged => ['standings.flagged', []],
            Pool::Starred => ['standings.starred', []],
            Pool::WithNotes => ['standings.noted', []],
            Pool::FalseFooting => ['standings.false_footing', []],
            Pool::InGapBook => ['standings.gap_open', []],
            default => $this->dueUntil === null
                ? ['standings.due_day is not null', []]
                : ['standings.due_day <= ?', [$this->dueUntil]],
        };
    }

    private function anyPool(Builder $any): void
    {
        foreach ($this->filters->pools as $pool) {
            match ($pool) {
                Pool::NewToMe => $any->orWhereNull('standings.outcome'),
                Pool::Flagged => $any->orWhere('standings.flagged', true),
                Pool::Starred => $any->orWhere('standings.starred', true),
                Pool::WithNotes => $any->orWhere('standings.noted', true),
                Pool::FalseFooting => $any->orWhere('standings.false_footing', true),
                Pool::InGapBook => $any->orWhere('standings.gap_open', true),
                Pool::Due => $any->orWhere($this->isDue(...)),
                default => $any->orWhere('standings.outcome', $pool->outcome()?->value),
            };
        }
    }
}
