<?php

declare(strict_types=1);

namespace App\Library;

use App\Account\User;
use App\Assembly\OwnPools;
use App\Database\Pages;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\Exam;
use App\Question\OwnStandings;
use App\Question\TextSearch;
use App\Sitting\HandedIn;
use App\Sitting\Sitting;
use Illuminate\Database\Eloquent\Builder as EloquentBuilder;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use stdClass;
use Uplandia\Core\Assembly\Filters;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\SearchText;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Sitting\Sureness;

/** Reads what a candidate has met or marked: a page of it, and the history of one question. */
final readonly class MetReader
{
    private const PAGE = 50;

    /** In a table all of it, within reason. */
    private const TABLE = 5000;

    /** Questions in one statement. */
    private const AT_ONCE = 500;

    public function __construct(
        private TextSearch $search,
        private MetQuestions $questions,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param  bool  $everywhere  in all exams, one after the other, this one first; a topic is only this one's
     *
     * @throws Refusal for a topic that the exam does not have
     */
    public function of(
        Candidacy $candidacy,
        Filters $filters,
        string $words,
        int $page,
        bool $everywhere = false,
    ): LibraryView {
        $found = [];
        foreach ($this->wanted($candidacy, $filters, $everywhere) as $one) {
            $rows = $this->rows(candidacy: $one, filters: $filters, words: $words);
            $found[] = [$one, $rows, (clone $rows)->count()];
        }
        $total = array_sum(array_column($found, 2));
        $page = min($page, Pages::last($total, self::PAGE));
        [$skip, $met] = [($page - 1) * self::PAGE, []];
        foreach ($found as [$one, $rows, $n]) {
            if ($skip < $n && count($met) < self::PAGE) {
                $here = $rows->offset($skip)->limit(self::PAGE - count($met))->get(['standings.question_id']);
                array_push($met, ...$this->met($one, $here));
            }
            $skip = max(0, $skip - $n);
        }

        return new LibraryView(
            exam: $candidacy->exam->slug,
            examName: $candidacy->exam->name,
            total: $total,
            elsewhere: self::metOrMarked(DB::table('standings'))
                ->where('user_id', $candidacy->user->id)
                ->where('exam_id', '!=', $candidacy->exam->id)
                ->count(),
            testsNoted: Sitting::query()
                ->where($candidacy->key())
                ->where(fn (EloquentBuilder $any) => $any->where('note', '!=', '')->orWhere('note_title', '!=', ''))
                ->count(),
            page: $page,
            pages: Pages::last($total, self::PAGE),
            met: $met,
        );
    }

    /** @return list<Candidacy> this exam first, the others in their order */
    private function wanted(Candidacy $candidacy, Filters $filters, bool $everywhere): array
    {
        $others = $everywhere && $filters->topics() === null
            ? Exam::query()->whereKeyNot($candidacy->exam->id)->orderBy('position')->get()->all()
            : [];

        return [
            $candidacy,
            ...array_map(fn (Exam $exam): Candidacy => new Candidacy($candidacy->user, $exam), array_values($others)),
        ];
    }

    /**
     * @return list<MetView> of each exam the latest first
     *
     * @throws Refusal for a topic that the exam does not have
     */
    public function all(Candidacy $candidacy, Filters $filters, string $words, bool $everywhere = false): array
    {
        $met = [];
        foreach ($this->wanted($candidacy, $filters, $everywhere) as $one) {
            $rows = $this->rows(candidacy: $one, filters: $filters, words: $words)->limit(self::TABLE - count($met));
            array_push($met, ...$this->met($one, $rows->get(['standings.question_id'])));
        }

        return $met;
    }

    /** @throws Refusal when the question was never met */
    public function history(Candidacy $candidacy, int $question): HistoryView
    {
        $enrolment = $candidacy->enrolment();
        $met = DB::table('standings')
            ->where($candidacy->key())
            ->where('question_id', $question)
            ->exists();
        if (! $met) {
            throw Refusal::notFound();
        }
        $now = $this->questions->of($candidacy, [$question])[$question];
        $rows = HandedIn::only(DB::table('outcomes'))
            ->join('sittings', 'sittings.id', '=', 'outcomes.sitting_id')
            ->where('outcomes.user_id', $candidacy->user->id)
            ->where('outcomes.question_id', $question)
            ->where('outcomes.outcome', '!=', Outcome::NotReached->value)
            ->orderByDesc('settled_ms')
            ->limit(self::PAGE)
            ->get(['outcomes.*', 'sittings.name', 'sittings.mode']);
        $highlights = DB::table('highlights')
            ->where('user_id', $candidacy->user->id)
            ->where('question_id', $question)
            ->orderBy('id')
            ->get();

        return new HistoryView(
            encounters: array_values($rows->map(fn (stdClass $row): EncounterView => new EncounterView(
                sitting: (string) $row->sitting_id,
                position: (int) $row->position,
                title: (string) $row->name,
                mode: Mode::from((string) $row->mode),
                at: (int) $row->settled_ms,
                outcome: Outcome::from((string) $row->outcome),
                sureness: $row->sureness === null ? null : Sureness::from((string) $row->sureness),
                activeMs: (int) $row->active_ms,
            ))->all()),
            highlights: array_values($highlights->map(Margins::highlightOf(...))->all()),
            due: $now->due($enrolment->examDay),
            recall: $now->recall($candidacy->today($this->clock)),
        );
    }

    private function rows(Candidacy $candidacy, Filters $filters, string $words): Builder
    {
        $rows = OwnPools::of($candidacy, $this->clock)
            ->narrow(OwnStandings::of($candidacy), $filters->pools());
        if ($filters->topics() !== null) {
            $topics = array_merge([], ...$candidacy->syllabus()->chosen($filters->topics()));
            $rows->whereIntegerInRaw('standings.topic_id', $topics);
        }
        if ($words !== '') {
            $rows->where(fn (Builder $any): Builder => $this->finds($any, $candidacy->user, $words));
        }

        return self::inOrder(self::metOrMarked($rows));
    }

    /** What was neither met nor marked is nobody's. */
    private static function metOrMarked(Builder $standings): Builder
    {
        return $standings->where(fn (Builder $any): Builder => $any
            ->whereNotNull('standings.outcome')
            ->orWhere('standings.starred', true)
            ->orWhere('standings.noted', true));
    }

    private static function inOrder(Builder $rows): Builder
    {
        return $rows->orderByDesc('standings.seen_ms')->orderBy('standings.question_id');
    }

    /** In what a candidate may see of the question, or in their own note on it. */
    private function finds(Builder $any, User $user, string $words): Builder
    {
        $this->search->narrow($any, 'standings.question_id', SearchText::of($words));

        return $any->orWhereIn(
            'standings.question_id',
            fn (Builder $notes): Builder => $notes
                ->from('notes')
                ->select('question_id')
                ->where('user_id', $user->id)
                ->whereNotNull('question_id')
                ->whereRaw('instr(lower(body), lower(?)) > 0', [$words]),
        );
    }

    /**
     * @param  Collection<int, stdClass>  $rows
     * @return list<MetView>
     */
    private function met(Candidacy $candidacy, Collection $rows): array
    {
        $ids = array_map(intval(...), array_values($rows->pluck('question_id')->all()));
        $met = [];
        foreach (array_chunk($ids, self::AT_ONCE) as $some) {
            $met += $this->questions->of($candidacy, $some);
        }

        return array_map(
            fn (int $question): MetView => MetView::of($question, $met[$question], $candidacy->exam),
            $ids,
        );
    }
}
