<?php

declare(strict_types=1);

namespace App\Result;

use App\Assembly\TestItem;
use App\Assembly\TestItems;
use App\Question\Enrolment;
use App\Sitting\Exposure;
use App\Sitting\Exposures;
use App\Sitting\KeyGate;
use App\Sitting\ScoreView;
use App\Sitting\Settles;
use App\Sitting\Sitting;
use App\Sitting\SittingRepository;
use App\Sitting\Stage;
use Brick\Math\BigRational;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Cohort\ItemStatistics;
use Uplandia\Core\Marking\Credit;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Marking\Response;
use Uplandia\Core\Result\Marked;
use Uplandia\Core\Result\Totals;
use Uplandia\Core\Shown;
use Uplandia\Core\Sitting\QuestionState;
use Uplandia\Core\Sitting\State;
use Uplandia\Core\Sitting\Status;

/**
 * Marks sittings and writes what came of each question. All it writes can be made again from the events, and from what
 * the cohort's medians and the candidate's days were at the time.
 *
 * @phpstan-type Facts array{cohort_ms: int|null, day: int}
 */
final readonly class Settlement implements Settles
{
    public function __construct(
        private TestItems $items,
        private KeepsStandings $standings,
        private KeyGate $gate,
        private Exposures $exposures,
    ) {
    }

    public function settle(Sitting $sitting, State $state, array $positions): void
    {
        $this->write($sitting, $state, $this->items->of($sitting->test_id, $positions));
    }

    public function finish(Sitting $sitting, State $state): void
    {
        $items = $this->items->of($sitting->test_id);
        $sitting->fill(self::closing($sitting, $this->marked($items, $state), $state));
        $sitting->in_cohort = $this->mayCount($sitting, $state, $items);
        // It holds nothing back from now on, and what it held back of others is told with it.
        $sitting->save();
        $this->write($sitting, $state, $items);
    }

    /**
     * Whether what came of it may count for others: nothing was brought after time had run out, and no key of it was
     * shown from its beginning to its end, or before, while it was to be sat on paper.
     *
     * @param  array<int, TestItem>  $items
     */
    public function mayCount(Sitting $sitting, State $state, array $items): bool
    {
        if ($sitting->waited || ! $sitting->in_cohort) {
            return false;
        }
        $questions = array_map(fn (TestItem $item): int => $item->questionId, array_values($items));
        foreach ($this->exposures->of($sitting->user_id, $questions) as $exposures) {
            foreach ($exposures as $one) {
                $own = $one['sitting'] === $sitting->id && $one['how'] === Exposure::Shown;
                if (($own || $one['at'] >= (int) $state->startedAt) && $one['at'] < (int) $state->endedAt) {
                    return false;
                }
            }
        }

        // Of what a clock runs over, no other sitting tells the key; of the rest, each that was settled meanwhile did.
        return $sitting->clocked || ! DB::table('outcomes')
            ->where('user_id', $sitting->user_id)
            ->where('sitting_id', '!=', $sitting->id)
            ->whereIn('question_id', $questions)
            ->where('settled_ms', '>=', (int) $state->startedAt)
            ->where('settled_ms', '<', (int) $state->endedAt)
            ->exists();
    }

    /**
     * Settles a sitting that was sat elsewhere. What all of somebody's sittings come to is told once they are all
     * here: `broughtAll`.
     *
     * @param  array<int, Facts>  $facts  by position: what was known there
     */
    public function bring(Sitting $sitting, State $state, array $facts): void
    {
        $items = $this->items->of($sitting->test_id);
        // Marked even where nothing is told yet: what cannot be marked must not come in.
        $marked = $this->marked($items, $state);
        if ($state->status === Status::HandedIn) {
            $sitting->fill(self::closing($sitting, $marked, $state));
            $sitting->waited = $state->waited;
        } else {
            $items = array_filter(
                $items,
                fn (TestItem $item): bool => $state->questions[$item->position]->isChecked(),
            );
            SittingRepository::note($sitting, $state);
        }
        $this->put($this->project(
            sitting: $sitting,
            state: $state,
            items: $items,
            facts: $facts + $this->facts($sitting, $state, $items),
        ));
        $sitting->save();
    }

    public function broughtAll(int $user, int $exam): void
    {
        $met = fn (string $table): Builder => DB::table($table)
            ->where('user_id', $user)
            ->where('exam_id', $exam)
            ->select('question_id');
        $questions = $met('outcomes')->union($met('exposures'))->pluck('question_id')->all();
        $questions = array_map(intval(...), array_values($questions));
        $this->markFirstLooks($user, $questions);
        $this->standings->renew($user, $exam, $questions);
    }

    public function outcomes(Sitting $sitting): array
    {
        return DB::table('outcomes')
            ->where('sitting_id', $sitting->id)
            ->pluck('outcome', 'position')
            ->map(fn (mixed $outcome): string => is_string($outcome) ? $outcome : '')
            ->all();
    }

    public function setAside(Sitting $sitting): void
    {
        $this->move($sitting, 'outcomes', 'deleted_outcomes');
    }

    public function bringBack(Sitting $sitting): void
    {
        $this->move($sitting, 'deleted_outcomes', 'outcomes');
    }

    private function move(Sitting $sitting, string $from, string $to): void
    {
        $columns = DB::getSchemaBuilder()->getColumnListing('outcomes');
        $rows = DB::table($from)->where('sitting_id', $sitting->id);
        $questions = array_map(intval(...), array_values((clone $rows)->pluck('question_id')->all()));
        DB::table($to)->insertUsing($columns, (clone $rows)->select($columns));
        $rows->delete();
        $this->markFirstLooks($sitting->user_id, $questions);
        $this->renewStandings($sitting, $questions);
    }

    public function release(Sitting $sitting): void
    {
        $this->renewStandings($sitting, array_values($this->items->questions($sitting->test_id)));
    }

    public function score(Sitting $sitting): ?ScoreView
    {
        if ($sitting->terms()->mode !== Mode::Tutor || ! $sitting->terms()->runningScore) {
            return null;
        }
        $marks = $possible = BigRational::zero();
        $rows = DB::table('outcomes')
            ->where('sitting_id', $sitting->id)
            ->get(['marks', 'possible']);
        foreach ($rows as $row) {
            $marks = $marks->plus((string) $row->marks);
            $possible = $possible->plus((string) $row->possible);
        }

        return new ScoreView(
            marks: Shown::decimal($marks),
            possible: Shown::decimal($possible),
            percent: $possible->isZero() ? null : Shown::wholePercent(
                $marks->dividedBy($possible),
                BigRational::of((string) $sitting->test->exam->rules['cut']),
            ),
            questions: count($rows),
        );
    }

    /**
     * The columns that close a sitting.
     *
     * @param  list<Marked>  $marked
     * @return array<string, mixed>
     */
    public static function closing(Sitting $sitting, array $marked, State $state): array
    {
        $totals = Totals::of($marked);

        return [
            'status' => Stage::HandedIn,
            'pen' => null,
            'deadline_ms' => null,
            'ended_ms' => $state->endedAt,
            'by_clock' => $state->byClock,
            'active_ms' => $state->activeMs,
            'answered' => $totals->answered(),
            'marks' => (string) $totals->marks,
            'possible' => (string) $totals->possible,
            // Of an adaptive test it says nothing: whoever knows more is asked what is harder.
            'share' => $sitting->test->adaptive === null ? $totals->shareOfAll()?->toFloat() : null,
            'counts' => $totals->counts(),
        ];
    }

    /**
     * @param  array<int, TestItem>  $items  by position
     * @return list<Marked>
     */
    public function marked(array $items, State $state): array
    {
        return array_values(
            array_map(
                fn (TestItem $item): Marked => new Marked(
                    $this->credit($item, $state->questions[$item->position]),
                    $item->scheme,
                ),
                $items,
            ),
        );
    }

    /**
     * The rows of outcomes that some questions come to. Writes nothing.
     *
     * @param  array<int, TestItem>  $items  by position
     * @param  array<int, Facts>  $facts  by position: what the events do not hold
     * @return list<array<string, mixed>>
     */
    public function project(Sitting $sitting, State $state, array $items, array $facts): array
    {
        $counts = $state->status === Status::HandedIn && $sitting->counts;

        return array_values(
            array_map(
                fn (TestItem $item): array => $this->row(
                    sitting: $sitting,
                    state: $state,
                    item: $item,
                    counts: $counts,
                ) + $facts[$item->position],
                $items,
            ),
        );
    }

    /**
     * When a question was settled: as its answer was shown, else at the end.
     *
     * @return int Unix milliseconds
     */
    public static function settledAt(State $state, int $position): int
    {
        return $state->questions[$position]->checkedAt ?? (int) $state->endedAt;
    }

    /** @param  array<int, TestItem>  $items  by position */
    private function write(Sitting $sitting, State $state, array $items): void
    {
        $rows = $this->project(
            sitting: $sitting,
            state: $state,
            items: $items,
            facts: $this->facts($sitting, $state, $items),
        );
        $this->put($rows);
        $questions = array_values(array_unique(array_column($rows, 'question_id')));
        $this->markFirstLooks($sitting->user_id, $questions);
        $this->renewStandings($sitting, $questions);
    }

    /**
     * What another test still asks is not told by how one stands to it either: that follows when it is over.
     *
     * @param  list<int>  $questions
     */
    private function renewStandings(Sitting $sitting, array $questions): void
    {
        $covered = $this->gate->covered($sitting->user_id, $sitting);
        $told = array_filter($questions, fn (int $question): bool => ! isset($covered[$question]));
        $this->standings->renew($sitting->user_id, $sitting->exam_id, array_values($told));
    }

    /** @param  list<array<string, mixed>>  $rows  of outcomes */
    private function put(array $rows): void
    {
        foreach (array_chunk($rows, 30) as $chunk) {
            DB::table('outcomes')->upsert($chunk, ['sitting_id', 'position']);
        }
    }

    /** @return array<string, mixed> */
    private function row(Sitting $sitting, State $state, TestItem $item, bool $counts): array
    {
        $question = $state->questions[$item->position];
        $credit = $this->credit($item, $question);

        return [
            'sitting_id' => $sitting->id,
            'position' => $item->position,
            'user_id' => $sitting->user_id,
            'exam_id' => $sitting->exam_id,
            'question_id' => $item->questionId,
            'version_id' => $item->version->id,
            'topic_id' => $item->version->topic_id,
            'section' => $item->section,
            'outcome' => $credit->outcome->value,
            'shown' => $question->seen,
            'response' => self::json($question->response),
            'credit' => self::exact($credit),
            'share' => $credit->share?->toFloat(),
            'first_credit' => self::exact($this->firstCredit($item, $question, $credit)),
            'marks' => (string) $item->scheme->marksFor($credit),
            'possible' => (string) $item->scheme->marks,
            'changes' => $question->changes,
            'struck' => self::json($question->struck),
            // Said before an answer that never came, it says nothing.
            'sureness' => $question->response === null ? null : $question->sureness?->value,
            'flagged' => $question->flagged,
            'active_ms' => $question->activeMs,
            'answered_ms' => $question->answeredAt,
            'first_look' => false,
            'counts' => $counts,
            'settled_ms' => self::settledAt($state, $item->position),
        ];
    }

    private function credit(TestItem $item, QuestionState $question): Credit
    {
        return $question->seen
            ? $item->question->mark($question->response, $question->rubricMarks)
            : Credit::notReached();
    }

    /** Points given to the last written answer say nothing of another that came before it. */
    private function firstCredit(TestItem $item, QuestionState $question, Credit $last): ?Credit
    {
        return match (true) {
            $question->firstResponse === null => null,
            Response::same($question->firstResponse, $question->response) => $last,
            default => $item->question->mark($question->firstResponse),
        };
    }

    /**
     * What was known when a question was settled first stays as it was.
     *
     * @param  array<int, TestItem>  $items
     * @return array<int, Facts>
     */
    private function facts(Sitting $sitting, State $state, array $items): array
    {
        $known = DB::table('outcomes')
            ->where('sitting_id', $sitting->id)
            ->get(['position', 'cohort_ms', 'day'])
            ->keyBy('position');
        $medians = DB::table('item_statistics')
            ->where('n', '>=', ItemStatistics::SHOWN_FROM)
            ->whereIn('version_id', array_map(fn (TestItem $item): int => $item->version->id, $items))
            ->pluck('median_ms', 'version_id');
        $enrolment = Enrolment::of($sitting->user_id, $sitting->exam_id);
        $facts = [];
        foreach ($items as $position => $item) {
            $before = $known[$position] ?? null;
            $median = $before === null ? $medians[$item->version->id] ?? null : $before->cohort_ms;
            $facts[$position] = [
                'cohort_ms' => is_numeric($median) ? (int) $median : null,
                'day' => $before === null ? $enrolment->dayOf(self::settledAt($state, $position)) : (int) $before->day,
            ];
        }

        return $facts;
    }

    /**
     * The first time a question was met is its first look, whichever sitting is settled first.
     *
     * @param  list<int>  $questions
     */
    private function markFirstLooks(int $user, array $questions): void
    {
        foreach (array_chunk($questions, 500) as $chunk) {
            $rows = DB::table('outcomes')
                ->where('user_id', $user)
                ->whereIn('question_id', $chunk)
                ->orderBy('settled_ms')
                ->orderBy('sitting_id')
                ->orderBy('position')
                ->get([
                    'sitting_id', 'position', 'question_id', 'outcome', 'first_look', 'answered_ms', 'settled_ms',
                ]);
            $exposed = $this->exposures->of($user, $chunk);
            $met = [];
            foreach ($rows as $row) {
                $question = (int) $row->question_id;
                $first = ! isset($met[$question]) && $row->outcome !== Outcome::NotReached->value;
                $met += $first ? [$question => true] : [];
                $first = $first && ! Exposures::precede(
                    $exposed[$question] ?? [],
                    (string) $row->sitting_id,
                    (int) ($row->answered_ms ?? $row->settled_ms),
                );
                if ((bool) $row->first_look !== $first) {
                    DB::table('outcomes')
                        ->where('sitting_id', $row->sitting_id)
                        ->where('position', $row->position)
                        ->update(['first_look' => $first]);
                }
            }
        }
    }

    private static function exact(?Credit $credit): ?string
    {
        return $credit?->share === null ? null : (string) $credit->share;
    }

    private static function json(mixed $value): ?string
    {
        return $value === null ? null : json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }
}
