<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Account\User;
use App\Clock\Moment;
use App\Database\Pages;
use App\Question\Candidacy;
use App\Question\Exam;
use Brick\Math\BigRational;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Collection as Support;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;
use stdClass;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Shown;

/** All of a candidate's sittings of an exam, found and sorted. */
final readonly class MyTests
{
    private const AT_ONCE = 50;

    public function __construct(
        private Closing $closing,
        private KeyGate $gate,
        private ClockInterface $clock,
    ) {
    }

    public function page(Candidacy $candidacy, TestsRequest $wanted): TestsView
    {
        $mine = Sitting::query()->where('user_id', $candidacy->user->id);
        $ofExam = (clone $mine)->where('exam_id', $candidacy->exam->id);
        [$everywhere, $here] = [$mine->count(), $ofExam->count()];
        $all = $wanted->boolean('everywhere') ? $mine : $ofExam;
        $order = $wanted->enum('order', TestsOrder::class) ?? TestsOrder::Made;
        $way = $wanted->boolean('down', true) ? 'desc' : 'asc';
        $found = Pages::of(
            rows: self::narrowed($all, $wanted)
                ->with('test.exam')
                ->orderBy($order->column(), $way)
                ->orderBy('id', $way),
            page: $wanted->integer('page', 1),
            each: self::AT_ONCE,
        );
        $lines = $found->getCollection();
        $withheld = $this->gate->withheld($candidacy->user->id, $lines);
        $outcomes = self::outcomes($lines->diff($lines->whereIn('id', array_keys($withheld))));
        $shared = $this->shared($candidacy->user, array_values($lines->pluck('test_id')->unique()->all()));

        return new TestsView(
            total: $found->total(),
            page: $found->currentPage(),
            pages: $found->lastPage(),
            all: $wanted->boolean('everywhere') ? $everywhere : $here,
            elsewhere: $everywhere - $here,
            tests: array_map(
                fn (Sitting $sitting): TestLineView => $this->line(
                    sitting: $sitting,
                    shared: $shared[$sitting->test_id] ?? null,
                    withheld: isset($withheld[$sitting->id]),
                    outcomes: $outcomes[$sitting->id] ?? null,
                ),
                array_values($lines->all()),
            ),
            deleted: array_map(
                fn (Sitting $gone): DeletedLineView => new DeletedLineView(
                    $gone->id,
                    $gone->name,
                    Deleting::until($gone),
                ),
                array_values(
                    Sitting::onlyTrashed()
                        ->where($candidacy->key())
                        ->where('deleted_at', '>=', Deleting::lastUndoneAt($this->clock->now()))
                        ->latest('deleted_at')
                        ->limit(self::AT_ONCE)
                        ->get()
                        ->all(),
                ),
            ),
        );
    }

    /**
     * @param  Builder<Sitting>  $all
     * @return Builder<Sitting>
     */
    private static function narrowed(Builder $all, TestsRequest $wanted): Builder
    {
        $search = trim($wanted->string('search')->value());
        if ($search !== '') {
            $like = '%'.preg_replace('/[!%_]/', '!$0', $search).'%';
            $all->where(function (Builder $any) use ($like): void {
                foreach (['name', 'note_title', 'note'] as $column) {
                    $any->orWhereRaw("{$column} like ? escape '!'", [$like]);
                }
            });
        }
        if ($wanted->boolean('noted')) {
            $all->where(fn (Builder $any): Builder => $any->where('note', '!=', '')->orWhere('note_title', '!=', ''));
        }
        foreach (['mode' => 'mode', 'state' => 'status'] as $field => $column) {
            if ($wanted->filled($field)) {
                $all->where($column, $wanted->string($field)->value());
            }
        }

        return $all;
    }

    /** @param  bool  $withheld  a test whose clock is not over asks the same: what came of this one waits */
    private function line(
        Sitting $sitting,
        ?stdClass $shared,
        bool $withheld,
        ?OutcomeCountsView $outcomes,
    ): TestLineView {
        $test = $sitting->test;
        $mine = $test->user_id === $sitting->user_id;
        $possible = $sitting->possible === null ? null : BigRational::of($sitting->possible);
        $share =
            // Of an adaptive test the share says nothing: whoever knows more is asked what is harder.
            $possible === null || $possible->isZero() || $test->adaptive !== null || $withheld
                ? null
                : Shown::wholePercent(
                    BigRational::of((string) $sitting->marks)->dividedBy($possible),
                    BigRational::of((string) $test->exam->rules['cut']),
                );

        $isOver = $this->closing->isOver($sitting);

        return new TestLineView(
            id: $sitting->id,
            name: $sitting->name,
            examName: $test->exam->name,
            mode: $sitting->mode,
            onPaper: $sitting->on_paper,
            state: $sitting->status,
            leftMs: $isOver ? null : $this->closing->leftMs($sitting),
            timeUp: $isOver,
            waits: $isOver && Closing::isHeld($sitting),
            questions: $sitting->questions,
            answered: $sitting->answered,
            share: $share,
            outcomes: $outcomes,
            activeMs: $sitting->active_ms,
            madeAt: Moment::of($sitting->created_at ?? throw new \LogicException('A sitting knows when it was made.')),
            touchedAt: $sitting->ended_ms ?? $sitting->contact_ms,
            fresh: $test->canBeFresh($sitting->user_id),
            same: $test->isRepeatable(),
            noteTitle: $sitting->note_title,
            note: $sitting->note,
            choices: $mine && $test->recipe_id !== null,
            along: ! $sitting->isHandedIn() && ! $sitting->on_paper && $sitting->mode !== Mode::Timed
                && $test->adaptive === null,
            mine: $mine && $test->adaptive === null,
            code: $mine && $shared?->closed_at === null ? $shared?->code : null,
            agrees: $shared?->agrees === null ? null : (bool) $shared->agrees,
        );
    }

    /**
     * @param  Collection<int, Sitting>  $sittings  of which they may be told
     * @return array<string, OutcomeCountsView> by sitting, those that are handed in
     */
    private static function outcomes(Collection $sittings): array
    {
        // Of an adaptive test they say nothing: whoever knows more is asked what is harder.
        $told = $sittings->filter(fn (Sitting $one): bool => $one->isHandedIn() && $one->test->adaptive === null);
        $rows = DB::table('outcomes')
            ->whereIn('sitting_id', $told->modelKeys())
            ->groupBy('sitting_id', 'outcome')
            ->selectRaw('sitting_id, outcome, count(*) as n')
            ->get()
            ->groupBy('sitting_id');

        return $rows->map(function (Support $of): OutcomeCountsView {
            $n = $of->pluck('n', 'outcome');
            $count = fn (Outcome $outcome): int => (int) ($n[$outcome->value] ?? 0);

            return new OutcomeCountsView(
                right: $count(Outcome::Right),
                partly: $count(Outcome::Partly),
                missed: $count(Outcome::Missed),
                leftBlank: $count(Outcome::LeftBlank),
                notReached: $count(Outcome::NotReached),
                pending: $count(Outcome::Pending),
            );
        })->all();
    }

    /**
     * @param  list<mixed>  $tests  ids
     * @return array<string, stdClass> by test: its code, when that was closed, and whether the candidate agrees
     */
    private function shared(User $user, array $tests): array
    {
        $rows = DB::table('shared_tests')
            ->join('shared_sittings', 'shared_sittings.test_id', '=', 'shared_tests.test_id')
            ->where('shared_sittings.user_id', $user->id)
            ->whereIn('shared_tests.test_id', $tests)
            ->get(['shared_tests.test_id', 'code', 'closed_at', 'agrees']);
        $shared = [];
        foreach ($rows as $row) {
            $shared[(string) $row->test_id] = $row;
        }

        return $shared;
    }
}
