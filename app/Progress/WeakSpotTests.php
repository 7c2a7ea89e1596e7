<?php

declare(strict_types=1);

namespace App\Progress;

use App\Assembly\Bank;
use App\Assembly\HoldsBack;
use App\Assembly\NewItems;
use App\Assembly\Test;
use App\Assembly\TestName;
use App\Http\Refusal;
use App\Question\Candidacy;
use App\Question\Enrolment;
use App\Question\OwnStandings;
use App\Question\SyllabusTopic;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Psr\Clock\ClockInterface;
use stdClass;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Assembly\Seed;
use Uplandia\Core\Progress\Mastery;
use Uplandia\Core\Progress\PointsAtStake;
use Uplandia\Core\Progress\Spot;
use Uplandia\Core\Progress\WeakSpots;
use Uplandia\Core\Question\Kind;

/**
 * Builds a test of a candidate's weak spots, and says why each topic is in it.
 *
 * @phpstan-type Reason array{
 *     topic: string, questions: int, stake: float|null, mastery: float|null, overdue: int, fresh: int, again: int
 * }
 */
final readonly class WeakSpotTests
{
    public function __construct(
        private Bank $bank,
        private Estimates $estimates,
        private HoldsBack $running,
        private ClockInterface $clock,
    ) {
    }

    /** @throws Refusal when there is nothing to ask */
    public function build(Candidacy $candidacy, int $questions): Test
    {
        $syllabus = $candidacy->syllabus();
        $estimate = $this->estimates->of($candidacy);
        $spots = $this->spots($candidacy);
        $topics = $estimate->topics;
        $weights = array_map(fn (SyllabusTopic $topic): float => (float) $topic->weight, $topics);
        $mastery = array_map(fn (?Mastery $of): ?float => $of?->share, $estimate->mastery);
        $cut = (float) $candidacy->exam->rules['cut'];
        $known = $estimate->gate->isOpen();
        $counts = WeakSpots::counts(
            $questions,
            WeakSpots::weights(weights: $weights, mastery: $mastery, cut: $cut, enoughEvidence: $known),
            array_map(
                fn (SyllabusTopic $topic): int => array_sum(array_column($spots[$topic->id] ?? [], 'size')),
                $topics,
            ),
        );
        $keys = $reasons = [];
        foreach ($topics as $t => $topic) {
            $taken = WeakSpots::take($counts[$t], $spots[$topic->id] ?? [], $estimate->ability->theta[$t]);
            if ($taken === []) {
                continue;
            }
            array_push($keys, ...array_column($taken, 'id'));
            $reasons[] = [
                'topic' => $topic->name,
                'questions' => array_sum(array_column($taken, 'size')),
                'stake' => $known && $mastery[$t] !== null ? PointsAtStake::of($weights[$t], $cut, $mastery[$t]) : null,
                'mastery' => $known ? $mastery[$t] : null,
                ...self::sorts($taken),
            ];
        }
        $seed = new Seed(Str::random(32));
        $ids = array_merge([], ...$this->bank->questions($seed->stream('order')->shuffleArray($keys)));
        if ($ids === []) {
            throw Refusal::unmet('too_few', 'There are no questions to ask just now.');
        }

        return DB::transaction(
            fn (): Test => Test::createWith(
                [
                    ...$candidacy->key(),
                    'title' => TestName::dated('My weak spots · '.count($ids), $candidacy),
                    'mode' => Mode::Tutor->value,
                    'seed' => $seed->value,
                    'reasons' => $reasons,
                ],
                NewItems::of($ids, fn (int $question, Kind $kind, string $marks): array => [
                    'marks' => $marks,
                    'penalty' => '0',
                    'section' => null,
                ]),
                null,
            ),
        );
    }

    /**
     * @param  list<Spot>  $taken
     * @return array{overdue: int, fresh: int, again: int} questions
     */
    private static function sorts(array $taken): array
    {
        $of = fn (callable $is): int => array_sum(array_column(array_filter($taken, $is), 'size'));

        return [
            'overdue' => $of(fn (Spot $spot): bool => $spot->overdue !== null),
            'fresh' => $of(fn (Spot $spot): bool => $spot->overdue === null && $spot->seen === null),
            'again' => $of(fn (Spot $spot): bool => $spot->overdue === null && $spot->seen !== null),
        ];
    }

    /** @return array<int, list<Spot>> by topic at the top */
    private function spots(Candidacy $candidacy): array
    {
        $syllabus = $candidacy->syllabus();
        $enrolment = $candidacy->enrolment();
        $today = $candidacy->today($this->clock);
        $rows = OwnStandings::beside(DB::table('questions'), $candidacy->user->id)
            ->where('questions.exam_id', $candidacy->exam->id)
            ->whereNull('questions.retired_at')
            ->whereIntegerNotInRaw('questions.id', collect($this->running->heldBack($candidacy->user)))
            ->orderBy('questions.unit_id')
            ->orderBy('questions.unit_place')
            ->orderBy('questions.id')
            ->select([
                'questions.id',
                'questions.unit_id',
                'questions.topic_id',
                'questions.b',
                'questions.luck',
                'due_day',
                'gap_open',
                'seen_ms',
            ]);
        $alone = $units = [];
        foreach ($rows->cursor() as $row) {
            if ($row->unit_id === null) {
                $alone[$syllabus->topOf((int) $row->topic_id)->id][] = self::spot(
                    id: (int) $row->id,
                    rows: [$row],
                    today: $today,
                    all: $enrolment->allIsDueOn($today),
                    enrolment: $enrolment,
                );
            } else {
                $units[(int) $row->unit_id][] = $row;
            }
        }
        foreach ($units as $unit => $parts) {
            $alone[$syllabus->topOf((int) $parts[0]->topic_id)->id][] = self::spot(
                id: -$unit,
                rows: $parts,
                today: $today,
                all: $enrolment->allIsDueOn($today),
                enrolment: $enrolment,
            );
        }

        return $alone;
    }

    /**
     * @param  non-empty-list<stdClass>  $rows  the questions of a unit
     * @param  bool  $all  whether all that is on the schedule is due
     */
    private static function spot(int $id, array $rows, int $today, bool $all, Enrolment $enrolment): Spot
    {
        $hardest = array_reduce(
            $rows,
            fn (?stdClass $hardest, stdClass $row): stdClass => $hardest === null || $row->b > $hardest->b
                ? $row
                : $hardest,
        );
        $overdue = $seen = [];
        foreach ($rows as $row) {
            if ($row->seen_ms !== null) {
                $seen[] = (int) $row->seen_ms;
            }
            if ($row->due_day !== null && ($all || (int) $row->due_day <= $today)) {
                $overdue[] = $today - (int) $row->due_day;
            }
            if ((bool) $row->gap_open && $row->seen_ms !== null) {
                $overdue[] = $today - $enrolment->dayOf((int) $row->seen_ms);
            }
        }
        assert($hardest !== null);

        return new Spot(
            id: $id,
            size: count($rows),
            b: (float) $hardest->b,
            c: (float) $hardest->luck,
            overdue: $overdue === [] ? null : max($overdue),
            seen: $seen === [] ? null : max($seen),
        );
    }
}
