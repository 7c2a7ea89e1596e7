<?php

declare(strict_types=1);

namespace Tests\Core\Sitting;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Fold;
use Uplandia\Core\Sitting\InvalidTerms;
use Uplandia\Core\Sitting\Item;
use Uplandia\Core\Sitting\LostContact;
use Uplandia\Core\Sitting\Mode;
use Uplandia\Core\Sitting\PacePlan;
use Uplandia\Core\Sitting\State;
use Uplandia\Core\Sitting\Status;
use Uplandia\Core\Sitting\Terms;

final class FoldTest extends TestCase
{
    private const MINUTE = 60_000;

    private int $seq = 0;

    public function test_nothing_has_happened_yet(): void
    {
        $state = Fold::of($this->terms(), [], 1000);

        self::assertSame([Status::NotStarted, null, 0, 0], [$state->status, $state->startedAt, $state->activeMs, $state->answered()]);
    }

    public function test_the_last_answer_in_the_order_of_doing_counts_however_it_arrives(): void
    {
        $first = new Event('x', 5, EventKind::Answered, 9000, 3000, 0, ['choice' => 'a']);
        $second = new Event('y', 6, EventKind::Answered, 8000, 4000, 0, ['choice' => 'b']);
        $state = Fold::of($this->terms(), [$this->started(), $second, $first, $second], 10_000);

        self::assertSame(['choice' => 'b'], $state->questions[0]->response);
        self::assertSame(['choice' => 'a'], $state->questions[0]->firstResponse);
        self::assertSame(1, $state->questions[0]->changes);
    }

    public function test_rubric_marks_come_after_the_end_and_the_latest_received_counts(): void
    {
        $written = $this->event(EventKind::Answered, 10, 0, ['text' => 'We stop.']);
        $end = $this->event(EventKind::HandedIn, 60);
        $first = new Event('m1', 90, EventKind::RubricMarked, 100_000, null, 0, ['p1' => '1', 'p2' => 0]);
        $second = new Event('m2', 80, EventKind::RubricMarked, 110_000, null, 0, ['p1' => '0.5']);
        foreach ([[$first, $second], [$second, $first], [$second, $first, $second]] as $marks) {
            $state = $this->fold($this->terms(), [$written, $end, ...$marks], 200);
            self::assertSame(['p1' => '0.5'], $state->questions[0]->rubricMarks);
            self::assertSame([], $state->refused);
            self::assertSame(['text' => 'We stop.'], $state->questions[0]->response);
        }
        self::assertSame(['p1' => '1', 'p2' => '0'], $this->fold($this->terms(), [$written, $end, $first], 200)->questions[0]->rubricMarks);
        self::assertNull($this->fold($this->terms(), [$written, $end], 200)->questions[0]->rubricMarks);
    }

    public function test_an_answer_can_be_taken_back(): void
    {
        $state = $this->fold($this->terms(), [$this->answer(0, 'a', 10), $this->event(EventKind::Answered, 20, 0, null)], 30);

        self::assertNull($state->questions[0]->response);
        self::assertSame(0, $state->answered());
    }

    public function test_pauses_stop_the_clock_and_the_deadline_moves(): void
    {
        $terms = $this->terms(limit: 10 * self::MINUTE);
        $pause = [$this->event(EventKind::Paused, 120), $this->event(EventKind::Resumed, 420)];

        $paused = $this->fold($terms, [$pause[0]], 300);
        self::assertSame([Status::Paused, 120_000, null, 480_000], [$paused->status, $paused->activeMs, $paused->deadline, $paused->remainingMs]);
        $resumed = $this->fold($terms, $pause, 480);
        self::assertSame([Status::Active, 180_000, 900_000], [$resumed->status, $resumed->activeMs, $resumed->deadline]);
    }

    public function test_a_rehearsal_cannot_be_paused_and_its_break_locks_what_was_seen(): void
    {
        $terms = $this->terms(limit: 10 * self::MINUTE, pausable: false, breaks: 1);
        $events = [
            $this->event(EventKind::Shown, 1, 0), $this->answer(0, 'a', 5), $this->event(EventKind::Paused, 8), $this->event(EventKind::BreakBegan, 60),
            $this->answer(1, 'x', 70), $this->event(EventKind::BreakEnded, 180), $this->answer(0, 'b', 190), $this->answer(1, 'c', 200),
        ];
        $state = $this->fold($terms, $events, 240);

        self::assertSame([Status::Active, 240_000], [$state->status, $state->activeMs]);
        self::assertSame(['choice' => 'a'], $state->questions[0]->response);
        self::assertSame(['choice' => 'c'], $state->questions[1]->response);
        self::assertTrue($state->questions[0]->locked);
        self::assertSame(['The sitting was on a break.', 'The question was seen before a break.'], array_values($state->refused));
    }

    public function test_at_zero_it_is_handed_in_as_it_stands(): void
    {
        $state = $this->fold($this->terms(limit: self::MINUTE), [$this->answer(0, 'a', 30)], 61);

        self::assertSame([Status::HandedIn, 60_000, true], [$state->status, $state->endedAt, $state->byClock]);
        self::assertSame(1, $state->answered());
    }

    public function test_an_answer_made_before_the_deadline_counts_up_to_five_seconds_after_it(): void
    {
        $terms = $this->terms(limit: self::MINUTE);
        $late = fn (int $at, int $madeAt): State => $this->fold($terms, [new Event('late', 99, EventKind::Answered, $at, $madeAt, 0, ['choice' => 'a'])], 70);

        self::assertSame(1, $late(65_000, 59_999)->answered());
        self::assertSame(0, $late(65_001, 59_999)->answered());
        self::assertSame(0, $late(61_000, 60_001)->answered());
        self::assertSame(['late' => 'The sitting had ended.'], $late(61_000, 60_001)->refused);
    }

    public function test_a_browser_cannot_claim_a_time_after_the_server_had_it(): void
    {
        $event = new Event('e', 1, EventKind::Answered, 5000, 99_999_999, 0, ['choice' => 'a']);

        self::assertSame(5000, $event->doneAt());
    }

    public function test_nothing_counts_after_hand_in(): void
    {
        $state = $this->fold($this->terms(limit: self::MINUTE), [$this->event(EventKind::HandedIn, 20), $this->answer(0, 'a', 21)], 60);

        self::assertSame([Status::HandedIn, 20_000, false, 0], [$state->status, $state->endedAt, $state->byClock, $state->answered()]);
    }

    public function test_a_checked_question_is_locked_in_tutor_mode_only(): void
    {
        $events = [$this->answer(0, 'a', 5), $this->event(EventKind::Checked, 10, 0), $this->answer(0, 'b', 15)];

        $tutor = $this->fold($this->terms(mode: Mode::Tutor), $events, 20);
        self::assertSame([['choice' => 'a'], true, true], [$tutor->questions[0]->response, $tutor->questions[0]->checked, $tutor->questions[0]->locked]);
        $timed = $this->fold($this->terms(), $events, 20);
        self::assertSame([['choice' => 'b'], false], [$timed->questions[0]->response, $timed->questions[0]->checked]);
    }

    public function test_there_is_no_going_back_in_a_series(): void
    {
        $terms = $this->terms(items: [new Item, new Item(0, 's'), new Item(0, 's'), new Item]);
        $state = $this->fold($terms, [
            $this->event(EventKind::Shown, 1, 1), $this->answer(1, 'a', 2), $this->event(EventKind::Shown, 3, 2), $this->answer(1, 'b', 4), $this->answer(2, 'c', 5), $this->answer(0, 'd', 6),
        ], 10);

        self::assertSame(['choice' => 'a'], $state->questions[1]->response);
        self::assertSame([false, true, false, false], array_column($state->questions, 'locked'));
        self::assertSame(['choice' => 'd'], $state->questions[0]->response);
    }

    public function test_sections_are_sat_in_turn_each_with_its_own_clock(): void
    {
        $terms = $this->terms(items: [new Item(0), new Item(1), new Item(1)], sectionLimits: [2 * self::MINUTE, self::MINUTE]);
        $early = $this->fold($terms, [$this->answer(1, 'x', 10)], 20);
        self::assertSame([0, 120_000, 0], [$early->section, $early->deadline, $early->answered()]);

        $moved = $this->fold($terms, [$this->answer(0, 'a', 10), $this->event(EventKind::SectionBegan, 30, null, 1), $this->answer(0, 'b', 40), $this->answer(1, 'c', 45)], 50);
        self::assertSame([1, 90_000, true], [$moved->section, $moved->deadline, $moved->questions[0]->locked]);
        self::assertSame([['choice' => 'a'], ['choice' => 'c']], [$moved->questions[0]->response, $moved->questions[1]->response]);

        $over = $this->fold($terms, [], 181);
        self::assertSame([Status::HandedIn, 180_000], [$over->status, $over->endedAt]);
    }

    public function test_with_seconds_for_each_question_time_out_locks_and_moves_on(): void
    {
        $terms = $this->terms(items: [new Item, new Item, new Item], questionLimit: 30_000);
        $events = [$this->answer(0, 'a', 10), $this->event(EventKind::Shown, 12, 1), $this->answer(1, 'b', 50), $this->answer(0, 'z', 13)];
        $state = $this->fold($terms, $events, 44);

        self::assertSame([2, 72_000, 'a', null], [$state->current, $state->deadline, $state->questions[0]->response['choice'] ?? null, $state->questions[1]->response]);
        self::assertSame(Status::HandedIn, $this->fold($terms, $events, 73)->status);
    }

    public function test_a_question_is_timed_while_it_is_on_screen_and_the_sitting_active(): void
    {
        $state = $this->fold($this->terms(), [
            $this->event(EventKind::Shown, 0, 0), $this->event(EventKind::Shown, 10, 1), $this->event(EventKind::Paused, 15), $this->event(EventKind::Resumed, 100),
            $this->event(EventKind::Shown, 105, 0), $this->event(EventKind::Left, 112),
        ], 200);

        self::assertSame([17_000, 10_000, 0], array_slice(array_column($state->questions, 'activeMs'), 0, 3));
        self::assertSame(0, $state->current);
    }

    public function test_extra_time_lengthens_every_limit(): void
    {
        $terms = $this->terms(limit: 100_000, sectionLimits: [50_000, null], questionLimit: 1_001)->withExtraTime('1.25');

        self::assertSame([125_000, [62_500, null], 1_252], [$terms->limit, $terms->sectionLimits, $terms->questionLimit]);
        $this->expectException(InvalidTerms::class);
        $terms->withExtraTime('0.9');
    }

    public function test_any_order_and_any_repetition_of_events_give_the_same_state(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(7));
        foreach (range(1, 120) as $round) {
            $terms = $this->randomTerms($chance);
            $events = $this->randomEvents($chance, count($terms->items));
            $expected = Fold::of($terms, $events, 400_000);
            for ($i = 0; $i < 4; $i++) {
                $shuffled = $chance->shuffleArray([...$events, ...array_slice($chance->shuffleArray($events), 0, 9)]);
                self::assertEquals($this->comparable($expected), $this->comparable(Fold::of($terms, $shuffled, 400_000)), "round {$round}");
            }
        }
    }

    public function test_question_times_never_add_up_to_more_than_the_active_time(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(8));
        foreach (range(1, 150) as $_) {
            $terms = $this->randomTerms($chance);
            $state = Fold::of($terms, $this->randomEvents($chance, count($terms->items)), 400_000);
            self::assertLessThanOrEqual($state->activeMs, array_sum(array_column($state->questions, 'activeMs')));
            self::assertGreaterThanOrEqual(0, min(array_column($state->questions, 'activeMs')));
        }
    }

    public function test_the_pace_plan_of_the_worked_example(): void
    {
        $plan = PacePlan::of(150 * self::MINUTE, 0, 10 * self::MINUTE, 80);

        self::assertSame((int) (1.75 * self::MINUTE), $plan->timeFor(1));
        self::assertSame(35 * self::MINUTE, $plan->timeFor(20));
        self::assertSame(5 * self::MINUTE, $plan->ahead(20, 30 * self::MINUTE));
        $this->expectException(InvalidTerms::class);
        PacePlan::of(5 * self::MINUTE, 0, 5 * self::MINUTE, 10);
    }

    public function test_a_closed_lid_pauses_and_a_dead_connection_does_not(): void
    {
        self::assertNull(LostContact::pausedFrom(0, null, 60_000));
        self::assertSame(0, LostContact::pausedFrom(0, null, 60_001));
        self::assertSame(0, LostContact::pausedFrom(0, 400_000, 500_000));
        self::assertNull(LostContact::pausedFrom(0, 10_000, 500_000));
    }

    private function randomTerms(Randomizer $chance): Terms
    {
        $items = array_map(fn (int $i): Item => new Item(intdiv($i, 3) % 2, $chance->getInt(0, 3) === 0 ? 's' : null), range(0, 5));

        return match ($chance->getInt(0, 4)) {
            0 => $this->terms(mode: Mode::Tutor, items: $items),
            1 => $this->terms(items: $items, limit: 200_000),
            2 => $this->terms(items: $items, sectionLimits: [90_000, 80_000]),
            3 => $this->terms(items: $items, questionLimit: 25_000),
            default => $this->terms(items: $items, limit: 300_000, pausable: false, breaks: 1),
        };
    }

    /** @return list<Event> */
    private function randomEvents(Randomizer $chance, int $questions): array
    {
        $kinds = EventKind::cases();
        $events = [new Event('start', 1, EventKind::Started, 1000)];
        foreach (range(2, 40) as $seq) {
            $kind = $kinds[$chance->getInt(1, count($kinds) - 1)];
            if ($kind === EventKind::HandedIn && $chance->getInt(0, 5) > 0) {
                $kind = EventKind::Answered;
            }
            $at = $chance->getInt(1000, 350_000);
            $value = match ($kind) {
                EventKind::Answered => $chance->getInt(0, 4) === 0 ? null : ['choice' => 'abcd'[$chance->getInt(0, 3)]],
                EventKind::Flagged => $chance->getInt(0, 1) === 1,
                EventKind::SectionBegan => 1,
                default => null,
            };
            $events[] = new Event("e{$seq}", $seq, $kind, $at, $at - $chance->getInt(0, 8000), $chance->getInt(0, $questions - 1), $value);
        }

        return $events;
    }

    private function comparable(State $state): State
    {
        $refused = $state->refused;
        ksort($refused);

        return new State($state->status, $state->questions, $state->startedAt, $state->endedAt, $state->byClock, $state->current, $state->section, $state->activeMs, $state->deadline, $state->remainingMs, $refused);
    }

    /** @param  list<Event>  $events */
    private function fold(Terms $terms, array $events, int $second): State
    {
        return Fold::of($terms, [$this->started(), ...$events], $second * 1000);
    }

    private function started(): Event
    {
        return new Event('started', 0, EventKind::Started, 0);
    }

    private function answer(int $position, string $choice, int $second): Event
    {
        return $this->event(EventKind::Answered, $second, $position, ['choice' => $choice]);
    }

    /** @param  array<mixed>|int|null  $value */
    private function event(EventKind $kind, int $second, ?int $position = null, array|int|null $value = null): Event
    {
        $this->seq++;

        return new Event("e{$this->seq}", $this->seq, $kind, $second * 1000, null, $position, $value);
    }

    /**
     * @param  list<Item>|null  $items
     * @param  list<int|null>  $sectionLimits
     */
    private function terms(Mode $mode = Mode::Timed, ?array $items = null, ?int $limit = null, array $sectionLimits = [], ?int $questionLimit = null, bool $pausable = true, int $breaks = 0): Terms
    {
        return new Terms($mode, $items ?? array_fill(0, 4, new Item), $limit, $sectionLimits, $questionLimit, $pausable, $breaks);
    }
}
