<?php

declare(strict_types=1);

namespace App\Library;

use App\Account\User;
use App\Assembly\OwnPools;
use App\Database\Pages;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\OwnStandings;
use App\Question\TextSearch;
use App\Sitting\HandedIn;
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

    /** @throws Refusal for a topic that the exam does not have */
    public function of(Candidacy $candidacy, Filters $filters, string $words, int $page): LibraryView
    {
        $found = Pages::of(
            rows: $this->rows(candidacy: $candidacy, filters: $filters, words: $words),
            page: $page,
            each: self::PAGE,
            columns: ['standings.question_id'],
        );

        return new LibraryView(
            exam: $candidacy->exam->slug,
            examName: $candidacy->exam->name,
            total: $found->total(),
            page: $found->currentPage(),
            pages: $found->lastPage(),
            met: $this->met($candidacy, $found->getCollection()),
        );
    }

    /**
     * @return list<MetView> the latest first
     *
     * @throws Refusal for a topic that the exam does not have
     */
    public function all(Candidacy $candidacy, Filters $filters, string $words): array
    {
        $rows = $this->rows(candidacy: $candidacy, filters: $filters, words: $words)->limit(self::TABLE);

        return $this->met($candidacy, $rows->get(['standings.question_id']));
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
            highlights: array_values($highlights->map(fn (stdClass $row): HighlightView => new HighlightView(
                part: (string) $row->part,
                from: (int) $row->from,
                to: (int) $row->to,
                kind: HighlightKind::from((string) $row->kind),
                quote: (string) $row->quote,
            ))->all()),
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
        // What was neither met nor marked is nobody's.
        $rows->where(fn (Builder $any): Builder => $any
            ->whereNotNull('standings.outcome')
            ->orWhere('standings.starred', true)
            ->orWhere('standings.noted', true));

        return self::inOrder($rows);
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

        return array_map(fn (int $question): MetView => MetView::of($question, $met[$question]), $ids);
    }
}
