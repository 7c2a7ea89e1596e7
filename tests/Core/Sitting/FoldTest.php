<?php

declare(strict_types=1);

namespace Tests\Core\Sitting;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Uplandia\Core\Assembly\Blueprint;
use Uplandia\Core\Assembly\Mode;
use Uplandia\Core\Sitting\Awake;
use Uplandia\Core\Sitting\Event;
use Uplandia\Core\Sitting\EventKind;
use Uplandia\Core\Sitting\Fold;
use Uplandia\Core\Sitting\Folding;
use Uplandia\Core\Sitting\InvalidTerms;
use Uplandia\Core\Sitting\Item;
use Uplandia\Core\Sitting\LostContact;
use Uplandia\Core\Sitting\PacePlan;
use Uplandia\Core\Sitting\QuestionState;
use Uplandia\Core\Sitting\Section;
use Uplandia\Core\Sitting\State;
use Uplandia\Core\Sitting\Status;
use Uplandia\Core\Sitting\Sureness;
use Uplandia\Core\Sitting\Terms;

final class FoldTest extends TestCase
{
    private const MINUTE = 60_000;

    private int $seq = 0;

    public function test_nothing_has_happened_yet(): void
    {
        $state = Fold::of($this->terms(), [], 1000);

        self::assertSame(
            [Status::NotStarted, null, 0, 0],
            [$state->status, $state->startedAt, $state->activeMs, $state->answered()],
        );
    }

    public function test_the_last_answer_in_the_order_of_doing_counts_however_it_arrives(): void
    {
        $first = new Event(
            id: 'x',
            seq: 5,
            kind: EventKind::Answered,
            at: 9000,
            madeAt: 3000,
            position: 0,
            value: ['choice' => 'a'],
        );
        $second = new Event(
            id: 'y',
            seq: 6,
            kind: EventKind::Answered,
            at: 8000,
            madeAt: 4000,
            position: 0,
            value: ['choice' => 'b'],
        );
        $state = Fold::of($this->terms(), [$this->started(), $second, $first, $second], 10_000);

        self::assertSame(['choice' => 'b'], $state->questions[0]->response);
        self::assertSame(['choice' => 'a'], $state->questions[0]->firstResponse);
        self::assertSame(1, $state->questions[0]->changes);
    }

    public function test_rubric_marks_come_after_the_end_and_the_latest_received_counts(): void
    {
        $written = $this->event(kind: EventKind::Answered, second: 10, position: 0, value: ['text' => 'We stop.']);
        $end = $this->event(EventKind::HandedIn, 60);
        $first = new Event(
            id: 'm1',
            seq: 90,
            kind: EventKind::RubricMarked,
            at: 100_000,
            madeAt: null,
            position: 0,
            value: ['p1' => '1', 'p2' => 0],
        );
        $second = new Event(
            id: 'm2',
            seq: 80,
            kind: EventKind::RubricMarked,
            at: 110_000,
            madeAt: null,
            position: 0,
            value: ['p1' => '0.5'],
        );
        foreach ([[$first, $second], [$second, $first], [$second, $first, $second]] as $marks) {
            $state = $this->fold($this->terms(), [$written, $end, ...$marks], 200);
            self::assertSame(['p1' => '0.5'], $state->questions[0]->rubricMarks);
            self::assertSame([], $state->refused);
            self::assertSame(['text' => 'We stop.'], $state->questions[0]->response);
        }
        self::assertSame(
            ['p1' => '1', 'p2' => '0'],
            $this->fold($this->terms(), [$written, $end, $first], 200)->questions[0]->rubricMarks,
        );
        self::assertNull($this->fold($this->terms(), [$written, $end], 200)->questions[0]->rubricMarks);
    }

    public function test_begin_end_and_marks_are_the_servers_to_say_and_the_rest_is_the_browsers(): void
    {
        $servers = array_filter(EventKind::cases(), static fn (EventKind $kind): bool => ! $kind->isTheBrowsers());
        self::assertSame(
            [EventKind::Started, EventKind::Waited, EventKind::HandedIn, EventKind::RubricMarked],
            array_values($servers),
        );
    }

    public function test_flags_strikes_and_sureness_are_what_was_said_last_and_of_one_question(): void
    {
        $flag = fn (int $second, bool $on): Event => $this->event(
            kind: EventKind::Flagged,
            second: $second,
            position: 0,
            value: $on,
        );
        $strike = fn (int $second, array $options): Event => $this->event(
            kind: EventKind::Struck,
            second: $second,
            position: 0,
            value: $options,
        );
        $sure = fn (int $second, string $how): Event => $this->event(
            kind: EventKind::Sureness,
            second: $second,
            position: 0,
            value: $how,
        );
        $done = [
            $this->answer(0, 'a', 5),
            $flag(10, true), $strike(11, ['b', 'c']), $sure(12, 'guess'),
            $flag(20, false), $strike(21, ['c']), $sure(22, 'sure'),
            $flag(30, true),
        ];
        $told = fn (array $events): array => array_map(
            static fn (QuestionState $question): array => [
                $question->flagged, $question->struck, $question->sureness?->value,
            ],
            array_slice($this->fold($this->terms(), $events, 60)->questions, 0, 2),
        );
        $untouched = [false, [], null];
        self::assertSame([$untouched, $untouched], $told([]));
        self::assertSame([[true, ['b', 'c'], 'guess'], $untouched], $told(array_slice($done, 0, 4)));
        self::assertSame([[false, ['c'], 'sure'], $untouched], $told(array_slice($done, 0, 7)));
        self::assertSame([[true, ['c'], 'sure'], $untouched], $told($done));
        // In whatever order they arrive.
        self::assertSame([[true, ['c'], 'sure'], $untouched], $told(array_reverse($done)));
    }

    public function test_an_answer_can_be_taken_back(): void
    {
        $state = $this->fold(
            $this->terms(),
            [$this->answer(0, 'a', 10), $this->event(kind: EventKind::Answered, second: 20, position: 0, value: null)],
            30,
        );

        self::assertNull($state->questions[0]->response);
        self::assertSame(0, $state->answered());
    }

    public function test_pauses_stop_the_clock_and_the_deadline_moves(): void
    {
        $terms = $this->terms(limit: 10 * self::MINUTE);
        $pause = [$this->event(EventKind::Paused, 120), $this->event(EventKind::Resumed, 420)];

        $paused = $this->fold($terms, [$pause[0]], 300);
        self::assertSame(
            [Status::Paused, 120_000, null, 480_000],
            [$paused->status, $paused->activeMs, $paused->deadline, $paused->remainingMs],
        );
        $resumed = $this->fold($terms, $pause, 480);
        self::assertSame(
            [Status::Active, 180_000, 900_000],
            [$resumed->status, $resumed->activeMs, $resumed->deadline],
        );
    }

    public function test_a_rehearsal_cannot_be_paused_and_its_break_locks_what_was_seen(): void
    {
        $terms = $this->terms(limit: 10 * self::MINUTE, pausable: false, breaks: 1);
        $events = [
            $this->event(EventKind::Shown, 1, 0),
            $this->answer(0, 'a', 5),
            $this->event(EventKind::Paused, 8),
            $this->event(EventKind::BreakBegan, 60),
            $this->answer(1, 'x', 70),
            $this->event(EventKind::BreakEnded, 180),
            $this->answer(0, 'b', 190),
            $this->answer(1, 'c', 200),
        ];
        $state = $this->fold($terms, $events, 240);

        self::assertSame([Status::Active, 240_000], [$state->status, $state->activeMs]);
        self::assertSame(['choice' => 'a'], $state->questions[0]->response);
        self::assertSame(['choice' => 'c'], $state->questions[1]->response);
        self::assertTrue($state->questions[0]->locked);
        self::assertSame(
            ['This sitting cannot be paused.', 'The sitting was on a break.', 'The question was seen before a break.'],
            array_values($state->refused),
        );
    }

    public function test_a_break_after_a_section_comes_once_all_of_it_has_been_seen(): void
    {
        $terms = new Terms(
            mode: Mode::Timed,
            items: [new Item(0, null), new Item(0, null), new Item(1, null)],
            limit: 10 * self::MINUTE,
            sections: [new Section('a', 'A', null, '0'), new Section('b', 'B', null, '0')],
            pausable: false,
            breaks: 1,
            breakAfter: 0,
            breakLength: self::MINUTE,
        );
        self::assertSame(1, $terms->breakFrom());
        self::assertEquals($terms, Terms::fromArray($terms->toArray()));
        self::assertSame(90_000, $terms->withExtraTime('1.5')->breakLength);
        $early = [$this->event(EventKind::Shown, 1, 0), $this->event(EventKind::Shown, 2, 2),
            $this->event(EventKind::BreakBegan, 5)];
        $state = $this->fold($terms, $early, 10);
        self::assertSame([Status::Active, 1, false], [
            $state->status, $state->breaksLeft, $state->questions[0]->locked,
        ]);
        self::assertCount(1, $state->refused);
        $state = $this->fold(
            $terms,
            [...$early, $this->event(EventKind::Shown, 6, 1), $this->event(EventKind::BreakBegan, 7)],
            10,
        );
        self::assertSame([Status::OnBreak, 0, true], [
            $state->status, $state->breaksLeft, $state->questions[0]->locked,
        ]);
    }

    public function test_the_clock_begins_when_reading_is_over(): void
    {
        $terms = $this->terms(limit: 10 * self::MINUTE, pausable: false, breaks: 1, reading: 2 * self::MINUTE);
        $reading = $this->fold($terms, [$this->event(EventKind::Shown, 10, 1)], 119);
        self::assertSame(
            [Status::Reading, 120_000, 0, 600_000, 480_000],
            [
                $reading->status, $reading->readingUntil, $reading->activeMs, $reading->deadline,
                $reading->remainingMs,
            ],
        );
        self::assertTrue($reading->questions[1]->seen);
        self::assertSame([0, false], [$reading->questions[1]->activeMs, $reading->questions[1]->locked]);
        $begun = $this->fold($terms, [$this->answer(0, 'a', 120)], 150);
        self::assertSame(
            [Status::Active, null, 30_000, 600_000, 450_000, 1],
            [
                $begun->status, $begun->readingUntil, $begun->activeMs, $begun->deadline, $begun->remainingMs,
                $begun->answered(),
            ],
        );
        $over = $this->fold($terms, [], 601);
        self::assertSame([Status::HandedIn, 600_000, true], [$over->status, $over->endedAt, $over->byClock]);
    }

    public function test_who_ends_reading_sooner_begins_sooner_and_has_no_less_time(): void
    {
        $terms = $this->terms(limit: 10 * self::MINUTE, pausable: false, reading: 2 * self::MINUTE);
        $events = [$this->event(EventKind::ReadingEnded, 30), $this->answer(0, 'a', 31)];
        $state = $this->fold($terms, $events, 60);
        self::assertSame(
            [Status::Active, 30_000, 510_000, 1],
            [$state->status, $state->activeMs, $state->deadline, $state->answered()],
        );
        // It ends once: whoever says so later, or without any reading, moves no clock.
        $again = $this->fold($terms, [...$events, $this->event(EventKind::ReadingEnded, 300)], 301);
        self::assertSame([510_000, 271_000, []], [$again->deadline, $again->activeMs, $again->refused]);
        $late = $this->fold($terms, [$this->event(EventKind::ReadingEnded, 300)], 301);
        self::assertSame([600_000, 181_000], [$late->deadline, $late->activeMs]);
        $none = $this->fold($this->terms(limit: 10 * self::MINUTE), [$this->event(EventKind::ReadingEnded, 300)], 301);
        self::assertSame([Status::Active, 600_000, 301_000], [$none->status, $none->deadline, $none->activeMs]);
    }

    public function test_nothing_is_answered_while_reading(): void
    {
        $terms = $this->terms(limit: 10 * self::MINUTE, pausable: true, breaks: 1, reading: 2 * self::MINUTE);
        $state = $this->fold($terms, [
            $this->answer(0, 'a', 119),
            $this->event(EventKind::Paused, 20),
            $this->event(EventKind::BreakBegan, 21),
            $this->event(EventKind::Flagged, 22, 1),
            $this->event(EventKind::Struck, 23, 1),
        ], 121);
        self::assertSame([0, 1, Status::Active], [$state->answered(), $state->breaksLeft, $state->status]);
        $because = array_count_values($state->refused);
        self::assertSame(
            ['Reading is not over yet.' => 2, 'Answering begins when reading is over.' => 1],
            $because,
        );
        $left = $this->fold($terms, [$this->event(EventKind::HandedIn, 20)], 30);
        self::assertSame([Status::HandedIn, 20_000, 0], [$left->status, $left->endedAt, $left->activeMs]);
        self::assertNull($left->readingUntil);
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
        $late = fn (int $at, int $madeAt): State => $this->fold(
            $terms,
            [
                new Event(
                    id: 'late',
                    seq: 99,
                    kind: EventKind::Answered,
                    at: $at,
                    madeAt: $madeAt,
                    position: 0,
                    value: ['choice' => 'a'],
                ),
            ],
            70,
        );

        self::assertSame(1, $late(65_000, 59_999)->answered());
        self::assertSame(0, $late(65_001, 59_999)->answered());
        self::assertSame(0, $late(61_000, 60_001)->answered());
        self::assertSame(['late' => 'The sitting had ended.'], $late(61_000, 60_001)->refused);
    }

    public function test_a_browser_cannot_claim_a_time_after_the_server_had_it(): void
    {
        $event = new Event(
            id: 'e',
            seq: 1,
            kind: EventKind::Answered,
            at: 5000,
            madeAt: 99_999_999,
            position: 0,
            value: ['choice' => 'a'],
        );

        self::assertSame(5000, $event->doneAt());
    }

    public function test_nothing_counts_after_hand_in(): void
    {
        $state = $this->fold(
            $this->terms(limit: self::MINUTE),
            [$this->event(EventKind::HandedIn, 20), $this->answer(0, 'a', 21)],
            60,
        );

        self::assertSame(
            [Status::HandedIn, 20_000, false, 0],
            [$state->status, $state->endedAt, $state->byClock, $state->answered()],
        );
    }

    public function test_a_checked_question_is_locked_but_not_where_a_clock_runs(): void
    {
        $events = [$this->answer(0, 'a', 5), $this->event(EventKind::Checked, 10, 0), $this->answer(0, 'b', 15)];

        foreach ([Mode::Tutor, Mode::Untimed] as $mode) {
            [$checked] = $this->fold($this->terms(mode: $mode), $events, 20)->questions;
            self::assertSame(
                [['choice' => 'a'], true, true],
                [$checked->response, $checked->isChecked(), $checked->locked],
            );
        }
        $timed = $this->fold($this->terms(), $events, 20);
        self::assertSame(
            [['choice' => 'b'], false],
            [$timed->questions[0]->response, $timed->questions[0]->isChecked()],
        );
    }

    public function test_the_first_try_counts_and_later_ones_are_kept(): void
    {
        $events = [
            $this->answer(0, 'b', 4),
            $this->answer(0, 'a', 5),
            $this->event(EventKind::Struck, 6, 0, ['c']),
            $this->event(EventKind::Sureness, 7, 0, 'sure'),
            $this->event(EventKind::Tried, 8, 0),
            $this->event(EventKind::Tried, 9, 0),
            $sureness = $this->event(EventKind::Sureness, 10, 0, 'guess'),
            $this->event(EventKind::Struck, 11, 0, ['a', 'c']),
            $this->answer(0, 'c', 12),
            $this->event(EventKind::Tried, 13, 0),
            $this->answer(0, 'd', 14),
        ];

        $state = $this->fold($this->terms(mode: Mode::Tutor), $events, 20);
        $question = $state->questions[0];
        self::assertSame([['choice' => 'a'], ['choice' => 'd']], [$question->response, $question->latest]);
        self::assertSame([['choice' => 'a'], ['choice' => 'c']], $question->tries);
        self::assertSame([['choice' => 'b'], 1], [$question->firstResponse, $question->changes]);
        self::assertSame([['c'], ['a', 'c']], [$question->struck, $question->ruledOut]);
        self::assertSame(Sureness::Sure, $question->sureness);
        self::assertFalse($question->locked);
        self::assertSame(
            [$sureness->id => 'The first try counts, and how sure one was of it.'],
            $state->refused,
        );
    }

    public function test_a_try_is_of_an_answer_in_tutor_mode_before_the_key_is_shown(): void
    {
        $tried = $this->event(EventKind::Tried, 9, 0);
        $fold = fn (Mode $mode, Event ...$events): State => $this->fold($this->terms(mode: $mode), $events, 20);

        $state = $fold(Mode::Tutor, $tried);
        self::assertSame([$tried->id => 'There is no answer to try yet.'], $state->refused);
        foreach ([Mode::Timed, Mode::Untimed] as $mode) {
            $state = $fold($mode, $this->answer(0, 'a', 5), $tried, $this->answer(0, 'b', 12));
            self::assertSame(['Only a tutor tells before the end.'], array_values($state->refused));
            self::assertSame([['choice' => 'b'], []], [$state->questions[0]->response, $state->questions[0]->tries]);
        }
        $state = $fold(Mode::Tutor, $this->answer(0, 'a', 5), $this->event(EventKind::Checked, 8, 0), $tried);
        self::assertSame(['The answer had been shown.'], array_values($state->refused));
    }

    public function test_tries_come_to_an_end(): void
    {
        $events = [];
        for ($second = 1; $second <= 24; $second += 2) {
            $events[] = $this->answer(0, "c{$second}", $second);
            $events[] = $this->event(EventKind::Tried, $second + 1, 0);
        }
        $state = $this->fold($this->terms(mode: Mode::Tutor), $events, 40);

        self::assertCount(10, $state->questions[0]->tries);
        self::assertSame(
            array_fill(0, 2, 'That is enough tries; the reasons tell more.'),
            array_values($state->refused),
        );
    }

    public function test_there_is_no_going_back_in_a_series(): void
    {
        $terms = $this->terms(items: [new Item(), new Item(0, 's'), new Item(0, 's'), new Item()]);
        $state = $this->fold(
            $terms,
            [
                $this->event(EventKind::Shown, 1, 1),
                $this->answer(1, 'a', 2),
                $this->event(EventKind::Shown, 3, 2),
                $this->answer(1, 'b', 4),
                $this->answer(2, 'c', 5),
                $this->answer(0, 'd', 6),
            ],
            10,
        );

        self::assertSame(['choice' => 'a'], $state->questions[1]->response);
        self::assertSame([false, true, false, false], array_column($state->questions, 'locked'));
        self::assertSame([false, true, false, false], array_column($state->questions, 'closed'));
        self::assertSame(['choice' => 'd'], $state->questions[0]->response);
    }

    public function test_sections_are_sat_in_turn_each_with_its_own_clock(): void
    {
        $terms = $this->terms(
            items: [new Item(0), new Item(1), new Item(1)],
            sectionLimits: [2 * self::MINUTE, self::MINUTE],
        );
        $early = $this->fold($terms, [$this->answer(1, 'x', 10)], 20);
        self::assertSame([0, 120_000, 0], [$early->section, $early->deadline, $early->answered()]);

        $moved = $this->fold(
            $terms,
            [
                $this->answer(0, 'a', 10),
                $this->event(kind: EventKind::SectionBegan, second: 30, position: null, value: 1),
                $this->answer(0, 'b', 40),
                $this->answer(1, 'c', 45),
            ],
            50,
        );
        self::assertSame([1, 90_000, true], [$moved->section, $moved->deadline, $moved->questions[0]->locked]);
        self::assertSame(
            [['choice' => 'a'], ['choice' => 'c']],
            [$moved->questions[0]->response, $moved->questions[1]->response],
        );

        $over = $this->fold($terms, [], 181);
        self::assertSame([Status::HandedIn, 180_000], [$over->status, $over->endedAt]);
    }

    public function test_with_seconds_for_each_question_time_out_locks_and_moves_on(): void
    {
        $terms = $this->terms(items: [new Item(), new Item(), new Item()], questionLimit: 30_000);
        $events = [
            $this->answer(0, 'a', 10),
            $this->event(EventKind::Shown, 12, 1),
            $this->answer(0, 'z', 13),
            $this->answer(1, 'b', 50),
        ];
        $state = $this->fold($terms, $events, 50);

        self::assertSame(
            [2, 72_000, 'a', null],
            [
                $state->current,
                $state->deadline,
                $state->questions[0]->response['choice'] ?? null,
                $state->questions[1]->response,
            ],
        );
        self::assertSame(Status::HandedIn, $this->fold($terms, $events, 73)->status);
    }

    public function test_a_question_is_timed_while_it_is_on_screen_and_the_sitting_active(): void
    {
        $state = $this->fold(
            $this->terms(),
            [
                $this->event(EventKind::Shown, 0, 0),
                $this->event(EventKind::Shown, 10, 1),
                $this->event(EventKind::Paused, 15),
                $this->event(EventKind::Resumed, 100),
                $this->event(EventKind::Shown, 105, 0),
                $this->event(EventKind::Left, 112),
            ],
            200,
        );

        self::assertSame([17_000, 10_000, 0], array_slice(array_column($state->questions, 'activeMs'), 0, 3));
        self::assertSame(0, $state->current);
    }

    public function test_extra_time_lengthens_every_limit(): void
    {
        $terms = $this->terms(limit: 100_000, sectionLimits: [50_000, null], questionLimit: 1_001)->withExtraTime(
            '1.25',
        );

        self::assertSame(
            [125_000, [62_500, null], 1_252, '1.25'],
            [$terms->limit, array_column($terms->sections, 'limit'), $terms->questionLimit, $terms->extraTime],
        );
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
                self::assertEquals(
                    $this->comparable($expected),
                    $this->comparable(Fold::of($terms, $shuffled, 400_000)),
                    "round {$round}",
                );
            }
        }
    }

    public function test_folding_onto_a_snapshot_is_folding_from_the_start(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(9));
        $resumed = $refolded = 0;
        foreach (range(1, 150) as $round) {
            $terms = $this->randomTerms($chance);
            $events = $this->randomEvents($chance, count($terms->items));
            // Mostly as they were received, and now and then one that overtakes others.
            usort($events, Event::inReceipt(...));
            for ($i = $chance->getInt(0, 2); $i > 0; $i--) {
                $one = $chance->getInt(0, count($events) - 1);
                array_splice($events, $chance->getInt(0, count($events) - 1), 0, array_splice($events, $one, 1));
            }
            $folding = Folding::of($terms, []);
            foreach ($events as $n => $event) {
                $came = array_slice($events, 0, $n + 1);
                if ($folding->take($event)) {
                    $resumed++;
                } else {
                    $folding = Folding::of($terms, $came);
                    $refolded++;
                }
                $now = max(array_column($came, 'at')) + $chance->getInt(0, 30_000);
                self::assertEquals(
                    $this->withoutReasons(Fold::of($terms, $came, $now)),
                    $this->withoutReasons($folding->at($now)),
                    "round {$round}, event {$n}",
                );
                if ($chance->getInt(0, 2) === 0) {
                    $folding = Folding::resume($terms, (string) $folding->snapshot());
                    self::assertNotNull($folding);
                }
            }
        }
        self::assertGreaterThan(3000, $resumed);
        self::assertGreaterThan(50, $refolded);
    }

    /** A snapshot keeps no reasons why something did not count. */
    private function withoutReasons(State $state): State
    {
        return new State(...['refused' => []] + (array) $state);
    }

    public function test_when_the_response_that_counts_was_given_is_known(): void
    {
        $at = fn (Event ...$events): ?int => Fold::of(
            $this->terms(mode: Mode::Tutor),
            [new Event(id: 'started', seq: 0, kind: EventKind::Started, at: 4000), ...$events],
            60_000,
        )->questions[0]->answeredAt;
        $made = fn (int $seq, int $at, ?int $madeAt): Event => new Event(
            id: "m{$seq}",
            seq: $seq,
            kind: EventKind::Answered,
            at: $at,
            madeAt: $madeAt,
            position: 0,
            value: ['choice' => 'a'],
        );
        self::assertNull($at());
        self::assertSame(9000, $at($made(1, 9000, null)));
        // What the browser says is believed between the start and the moment the server had it.
        self::assertSame(7000, $at($made(1, 9000, 7000)));
        self::assertSame(9000, $at($made(1, 9000, 12_000)));
        self::assertSame(4000, $at($made(1, 9000, 10)));
        // The latest in the candidate's own order, however they arrive.
        self::assertSame(8000, $at($made(2, 9000, 8000), $made(1, 9500, 7000)));
        // After the first try it stays.
        $tried = new Event(id: 't', seq: 2, kind: EventKind::Tried, at: 10_000, position: 0);
        self::assertSame(9000, $at($made(1, 9000, null), $tried, $made(3, 20_000, null)));
    }

    public function test_a_snapshot_that_cannot_be_read_is_none(): void
    {
        $terms = $this->terms();
        $snapshot = (string) Folding::of($terms, [$this->started()])->snapshot();
        self::assertNull(Folding::of($terms, [])->snapshot());
        self::assertNotNull(Folding::resume($terms, $snapshot));
        $kept = explode(':', $snapshot, 2)[1];
        $bad = ['', 'x', ':', 'i:5;', 'a:0:{}', serialize([1, 2, 3, 4]), substr($snapshot, 0, -3), $kept, ":{$kept}"];
        // What once gave an error for good: of the right number of parts, and none of them what it should be.
        $bad[] = hash('sha256', $kept).':'.$kept;
        foreach (range(0, strlen($snapshot) - 1, 7) as $at) {
            $bad[] = substr_replace($snapshot, $snapshot[$at] === 'x' ? 'y' : 'x', $at, 1);
        }
        foreach ($bad as $one) {
            self::assertNull(Folding::resume($terms, $one), $one);
        }
    }

    public function test_a_snapshot_does_not_grow_with_changes_of_mind(): void
    {
        $folding = Folding::of($this->terms(), [$this->started()]);
        $second = 10;
        $size = function (int $answers) use ($folding, &$second): int {
            for ($i = 0; $i < $answers; $i++) {
                self::assertTrue($folding->take($this->answer(0, 'ab'[$second % 2], $second++)));
            }

            return strlen((string) $folding->snapshot());
        };

        self::assertLessThan(40, abs($size(10) - $size(1000)));
        self::assertSame(1009, $folding->at(9_000_000)->questions[0]->changes);
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

    public function test_a_moment_that_is_forged_to_lie_before_what_is_known_adds_no_time(): void
    {
        $shown = fn (int $position, int $at, int $madeAt): Event => new Event(
            id: "s{$at}",
            seq: $at + 1,
            kind: EventKind::Shown,
            at: $at * 1000,
            madeAt: $madeAt * 1000,
            position: $position,
        );
        $state = $this->fold($this->terms(), [$shown(0, 0, 0), $shown(1, 10, 10), $shown(0, 20, 0)], 30);
        // The question before had its time until what is known of it, and no second twice.
        self::assertSame([30_000, 0], array_slice(array_column($state->questions, 'activeMs'), 0, 2));
        self::assertSame(30_000, $state->activeMs);
    }

    public function test_planned_time_is_rounded_half_up(): void
    {
        self::assertSame(1, PacePlan::of(time: 1, reading: 0, reserve: 0, marks: 2)->timeFor(1));
        self::assertSame([33, 67], array_map(
            PacePlan::of(time: 100, reading: 0, reserve: 0, marks: 3)->timeFor(...),
            [1, 2],
        ));
    }

    public function test_the_pace_plan_of_the_worked_example(): void
    {
        self::assertSame(
            90_000,
            PacePlan::of(
                time: 150 * self::MINUTE,
                reading: 20 * self::MINUTE,
                reserve: 10 * self::MINUTE,
                marks: 80,
            )->timeFor(1),
        );
        $plan = PacePlan::of(time: 150 * self::MINUTE, reading: 0, reserve: 10 * self::MINUTE, marks: 80);

        self::assertSame((int) (1.75 * self::MINUTE), $plan->timeFor(1));
        self::assertSame(35 * self::MINUTE, $plan->timeFor(20));
        self::assertSame(5 * self::MINUTE, $plan->ahead(20, 30 * self::MINUTE));
        $this->expectException(InvalidTerms::class);
        PacePlan::of(time: 5 * self::MINUTE, reading: 0, reserve: 5 * self::MINUTE, marks: 10);
    }

    public function test_a_closed_lid_pauses_and_a_dead_connection_does_not(): void
    {
        $gaps = fn (Awake $awake, int $now): array => LostContact::gaps(0, $awake, $now);

        self::assertSame([], $gaps(Awake::unknown(), 60_000));
        self::assertSame([[0, null]], $gaps(Awake::unknown(), 60_001));
        self::assertSame([], $gaps(Awake::since(10_000), 500_000));
        // Whoever went on without a connection after it was opened again goes on; who has only just come says so.
        self::assertSame([[0, 400_000]], $gaps(Awake::since(400_000), 460_001));
        self::assertSame([[0, 400_000], [460_000, null]], $gaps(Awake::since(400_000), 460_000));
        self::assertSame([[90_000, null]], $gaps(Awake::since(null, [[0, 90_000]]), 500_000));
    }

    public function test_what_was_done_before_contact_was_lost_counts_once_it_is_back_and_not_later(): void
    {
        $made = fn (string $id, int $at, int $madeAt): Event => new Event(
            id: $id,
            seq: 50,
            kind: EventKind::Answered,
            at: $at,
            madeAt: $madeAt,
            position: 0,
            value: ['choice' => 'a'],
        );
        $pause = fn (string $id, int|array|null $known): Event => new Event(
            id: $id,
            seq: 40,
            kind: EventKind::Paused,
            at: 20_000,
            value: $known,
        );
        $answered = fn (Event $pause, Event $answer): int => $this->fold(
            $this->terms(),
            [$pause, $answer],
            95,
        )->answered();

        $known = $pause(Event::OWN.'1', 90_000);
        self::assertSame(1, $answered($known, $made('m', 90_000, 20_000)));
        self::assertSame(1, $answered($known, $made('m', 95_000, 19_000)));
        self::assertSame(0, $answered($known, $made('m', 95_001, 19_000)));
        self::assertSame(0, $answered($known, $made('m', 90_000, 20_001)));
        // Nobody but the server says so, and of what it knew at once it knew at once.
        self::assertSame(0, $answered($pause('mine', 90_000), $made('m', 90_000, 19_000)));
        self::assertSame(0, $answered($pause(Event::OWN.'1', null), $made('m', 90_000, 19_000)));
        // However many waited: the server's own pause has no place among their sequence numbers.
        self::assertSame(1, $answered($pause(Event::OWN.'1', 20_000), $made('m', 20_000, 19_000)));
    }

    public function test_a_device_that_was_taken_along_pauses_where_nobody_was_there(): void
    {
        $gaps = fn (?int $since, array ...$spells): array => LostContact::gaps(
            100_000,
            Awake::since($since, array_values($spells)),
            1_000_000,
        );

        self::assertSame([[100_000, null]], $gaps(null));
        self::assertSame([], $gaps(0));
        self::assertSame([], $gaps(160_000));
        self::assertSame([[100_000, 160_001]], $gaps(160_001));
        // In any order, meeting or not; what is short counts, and what is to come is not known yet.
        self::assertSame(
            [[200_000, 400_000], [500_000, 900_000]],
            $gaps(900_000, [400_000, 450_000], [90_000, 200_000], [430_000, 500_000], [120_000, 130_000]),
        );
        self::assertSame([[100_000, 300_000], [350_000, null]], $gaps(null, [300_000, 350_000], [80_000, 90_000]));
        self::assertSame([[100_000, 300_000]], $gaps(null, [300_000, 5_000_000]));
        self::assertSame([[100_000, null]], $gaps(null, [2_000_000, 3_000_000]));
        self::assertSame([], $gaps(null, [90_000, 940_000]));
        self::assertSame([[939_999, null]], $gaps(null, [90_000, 939_999]));
    }

    public function test_nothing_is_taken_while_paused(): void
    {
        $events = [];
        foreach (range(0, 3) as $position) {
            array_push(
                $events,
                $this->event(EventKind::Shown, 20 + $position, $position),
                $this->answer($position, 'a', 20 + $position),
            );
        }
        $state = $this->fold($this->terms(limit: self::MINUTE), [$this->event(EventKind::Paused, 1), ...$events], 30);
        self::assertSame([0, 1000], [$state->answered(), $state->activeMs]);
        self::assertSame(array_fill(0, 4, 'The sitting was paused.'), array_values($state->refused));
        self::assertSame([false, false, false, false], array_column($state->questions, 'seen'));
    }

    public function test_what_was_made_in_a_pause_does_not_count_once_it_is_over_either(): void
    {
        $late = new Event(
            id: 'late',
            seq: 50,
            kind: EventKind::Answered,
            at: 40_000,
            madeAt: 25_000,
            position: 0,
            value: ['choice' => 'a'],
        );
        $state = $this->fold(
            $this->terms(),
            [$this->event(EventKind::Paused, 20), $this->event(EventKind::Resumed, 30), $late],
            50,
        );
        self::assertSame(['late' => 'The sitting was paused.'], $state->refused);
        // Made before, and overtaken by the pause on the way.
        $overtaken = new Event(
            id: 'before',
            seq: -1,
            kind: EventKind::Answered,
            at: 24_000,
            madeAt: 19_000,
            position: 0,
            value: ['choice' => 'a'],
        );
        self::assertSame(
            1,
            $this->fold($this->terms(), [$this->event(EventKind::Paused, 20), $overtaken], 50)->answered(),
        );
    }

    public function test_what_was_done_at_the_very_moment_of_a_pause_or_break_was_done_outside_it(): void
    {
        $spells = [
            [$this->terms(), EventKind::Paused, EventKind::Resumed],
            [$this->terms(pausable: false, breaks: 1), EventKind::BreakBegan, EventKind::BreakEnded],
        ];
        foreach ($spells as [$terms, $began, $ended]) {
            $this->seq = 100;
            $from = $this->event($began, 20);
            $to = $this->event($ended, 40);
            // Made in the browser at a moment, received at another; the position tells them apart.
            $act = fn (int $seq, int $position, int $madeAt, int $at): Event => new Event(
                id: "act-{$position}",
                seq: $seq,
                kind: EventKind::Answered,
                at: $at,
                madeAt: $madeAt,
                position: $position,
                value: ['choice' => 'a'],
            );
            $before = $act(50, 0, 20_000, 21_000);
            $within = $act(51, 1, 20_001, 41_000);
            $atStart = $act(52, 1, 20_000, 41_000);
            $atEnd = $act(120, 2, 40_000, 41_000);
            $state = Fold::of($terms, [$this->started(), $from, $before, $to, $atEnd], 60_000);
            self::assertSame([], $state->refused, $began->value);
            self::assertSame(2, $state->answered());

            $late = Fold::of($terms, [$this->started(), $from, $to, $within], 60_000);
            self::assertSame(['act-1'], array_keys($late->refused), $began->value);
            self::assertSame([], Fold::of($terms, [$this->started(), $from, $to, $atStart], 60_000)->refused);
        }
    }

    public function test_a_series_cannot_be_reopened_with_an_older_sequence(): void
    {
        $terms = $this->terms(items: [new Item(0, 's'), new Item(0, 's'), new Item()]);
        $shown = new Event(id: 'shown', seq: 10, kind: EventKind::Shown, at: 10_000, madeAt: null, position: 1);
        $old = fn (int $at): State => $this->fold(
            $terms,
            [
                $shown,
                new Event(
                    id: 'old',
                    seq: 1,
                    kind: EventKind::Answered,
                    at: $at,
                    madeAt: 1_000,
                    position: 0,
                    value: ['choice' => 'a'],
                ),
            ],
            60,
        );
        self::assertSame([1, 0], [$old(15_000)->answered(), $old(15_001)->answered()]);
        self::assertSame(['old' => 'There is no going back.'], $old(15_001)->refused);
    }

    public function test_answering_a_question_counts_as_having_seen_it(): void
    {
        $series = $this->fold(
            $this->terms(items: [new Item(0, 's'), new Item(0, 's')]),
            [$this->answer(1, 'b', 5), $this->answer(0, 'a', 20)],
            30,
        );
        self::assertSame([null, ['choice' => 'b']], array_column($series->questions, 'response'));
        $break = $this->fold(
            $this->terms(pausable: false, breaks: 1),
            [
                $this->answer(0, 'a', 5),
                $this->event(EventKind::BreakBegan, 10),
                $this->event(EventKind::BreakEnded, 20),
                $this->answer(0, 'b', 30),
            ],
            40,
        );
        self::assertSame(
            [['choice' => 'a'], true, true],
            [$break->questions[0]->response, $break->questions[0]->locked, $break->questions[0]->seen],
        );
    }

    public function test_a_break_begins_with_its_event_and_only_so_many_may_be_taken(): void
    {
        $terms = $this->terms(pausable: false, breaks: 1);
        $twice = [
            $this->event(EventKind::BreakBegan, 10),
            $this->event(EventKind::BreakEnded, 20),
            $this->event(EventKind::BreakBegan, 30),
            $this->answer(0, 'a', 40),
        ];
        $state = $this->fold($terms, $twice, 50);
        self::assertSame([Status::Active, 1, 0], [$state->status, $state->answered(), $state->breaksLeft]);
        self::assertSame(['There is no break left to take.'], array_values($state->refused));
        // In the very moment of the break, the candidate's own sequence says what came first.
        $begin = $this->event(EventKind::BreakBegan, 10);
        $same = fn (int $seq): int => $this->fold(
            $terms,
            [
                $begin,
                new Event(
                    id: 'x',
                    seq: $seq,
                    kind: EventKind::Answered,
                    at: 10_000,
                    madeAt: null,
                    position: 0,
                    value: ['choice' => 'a'],
                ),
            ],
            20,
        )->answered();
        self::assertSame([1, 0], [$same($begin->seq - 1), $same($begin->seq + 1)]);
    }

    public function test_nothing_that_comes_after_the_end_changes_what_came_before(): void
    {
        $events = [$this->event(EventKind::Shown, 0, 0), $this->event(EventKind::HandedIn, 20)];
        $before = $this->fold($this->terms(limit: self::MINUTE), $events, 30);
        $after = $this->fold(
            $this->terms(limit: self::MINUTE),
            [
                ...$events,
                new Event(id: 'late', seq: 1, kind: EventKind::Shown, at: 25_000, madeAt: 1_000, position: 1),
                $this->event(EventKind::Paused, 26),
            ],
            30,
        );
        self::assertEquals($before, $after);
        // No grace after handing in: what was still under way came with it.
        $grace = $this->fold(
            $this->terms(limit: self::MINUTE),
            [
                ...$events,
                new Event(
                    id: 'late',
                    seq: 1,
                    kind: EventKind::Answered,
                    at: 20_001,
                    madeAt: 19_000,
                    position: 0,
                    value: ['choice' => 'a'],
                ),
            ],
            30,
        );
        self::assertSame([0, ['late' => 'The sitting had ended.']], [$grace->answered(), $grace->refused]);
    }

    public function test_the_moment_of_the_end_itself_still_counts_and_ends_it(): void
    {
        $terms = $this->terms(limit: self::MINUTE);
        $made = fn (int $madeAt): int => $this->fold(
            $terms,
            [
                new Event(
                    id: 'x',
                    seq: 9,
                    kind: EventKind::Answered,
                    at: 61_000,
                    madeAt: $madeAt,
                    position: 0,
                    value: ['choice' => 'a'],
                ),
            ],
            70,
        )->answered();
        self::assertSame([1, 0], [$made(60_000), $made(60_001)]);
        self::assertSame(
            [Status::Active, Status::HandedIn],
            [
                Fold::of($terms, [$this->started()], 59_999)->status,
                Fold::of($terms, [$this->started()], 60_000)->status,
            ],
        );
    }

    public function test_turns_begin_and_end_on_their_moment_and_hold(): void
    {
        $terms = $this->terms(items: [new Item(), new Item(), new Item()], questionLimit: 30_000);
        $state = fn (int $at, int $madeAt, int $position): State => $this->fold(
            $terms,
            [
                new Event(
                    id: 'x',
                    seq: 9,
                    kind: EventKind::Answered,
                    at: $at,
                    madeAt: $madeAt,
                    position: $position,
                    value: ['choice' => 'a'],
                ),
            ],
            45,
        );
        self::assertSame(
            [1, 0, 0],
            [
                $state(34_000, 30_000, 0)->answered(),
                $state(34_000, 30_001, 0)->answered(),
                $state(35_001, 30_000, 0)->answered(),
            ],
        );
        // The second has its turn from the moment the first runs out, not before.
        self::assertSame([0, 1], [$state(29_999, 29_999, 1)->answered(), $state(30_000, 30_000, 1)->answered()]);
        self::assertSame([true, false, true], array_column($this->fold($terms, [], 45)->questions, 'locked'));
        self::assertSame(
            [0, 1, 60_000],
            [
                $this->fold($terms, [], 29)->current,
                $this->fold($terms, [], 30)->current,
                $this->fold($terms, [], 30)->deadline,
            ],
        );
    }

    public function test_sections_come_in_their_order_and_a_wrong_one_changes_nothing(): void
    {
        $terms = $this->terms(
            items: [new Item(0), new Item(1), new Item(2)],
            sectionLimits: [self::MINUTE, self::MINUTE, self::MINUTE],
        );
        foreach ([2, 3, 0, -1, 99] as $section) {
            $state = $this->fold(
                $terms,
                [$this->event(kind: EventKind::SectionBegan, second: 10, position: null, value: $section)],
                20,
            );
            self::assertSame([Status::Active, 0], [$state->status, $state->section], "section {$section}");
            self::assertSame(['The test has no such section to begin.'], array_values($state->refused));
        }
        $state = $this->fold(
            $terms,
            [
                $this->event(kind: EventKind::SectionBegan, second: 10, position: null, value: 1),
                $this->event(kind: EventKind::SectionBegan, second: 20, position: null, value: 2),
            ],
            30,
        );
        self::assertSame([2, 80_000], [$state->section, $state->deadline]);
        self::assertSame([true, true, false], array_column($state->questions, 'locked'));
        self::assertSame([true, true, false], array_column($state->questions, 'closed'));
    }

    public function test_what_is_looked_at_while_reading_closes_nothing(): void
    {
        $terms = $this->terms(
            limit: 10 * self::MINUTE,
            items: [new Item(0, 's'), new Item(0, 's'), new Item()],
            reading: self::MINUTE,
        );
        $browsed = [$this->event(EventKind::Shown, 5, 0), $this->event(EventKind::Shown, 10, 1)];
        $closed = fn (array $events): array => array_column($this->fold($terms, $events, 100)->questions, 'closed');
        self::assertSame([false, false, false], $closed($browsed));
        $answers = $this->fold($terms, [...$browsed, $this->answer(0, 'a', 70), $this->answer(1, 'b', 80)], 100);
        self::assertSame([[], 2], [$answers->refused, $answers->answered()]);
        // From then on it does.
        self::assertSame([true, false, false], $closed([...$browsed, $this->event(EventKind::Shown, 70, 1)]));
    }

    public function test_what_is_open_until_the_end_is_not_closed_before_it(): void
    {
        $terms = $this->terms(items: [new Item(), new Item()], questionLimit: 30_000);
        $closed = fn (int $second): array => array_column($this->fold($terms, [], $second)->questions, 'closed');
        self::assertSame([[false, false], [true, false], [true, false]], [$closed(10), $closed(40), $closed(90)]);
    }

    public function test_what_cannot_belong_to_the_terms_is_refused_by_name(): void
    {
        $terms = $this->terms(items: [new Item(0), new Item(1)], sectionLimits: [self::MINUTE, self::MINUTE]);
        $reason = function (Event $event) use ($terms): string {
            try {
                $terms->check($event);
            } catch (InvalidTerms $refused) {
                return $refused->reason;
            }

            return 'taken';
        };
        self::assertSame(
            ['unknown_section', 'unknown_section', 'taken'],
            [
                $reason($this->event(kind: EventKind::SectionBegan, second: 1, position: null, value: 2)),
                $reason($this->event(EventKind::SectionBegan, 1)),
                $reason($this->event(kind: EventKind::SectionBegan, second: 1, position: null, value: 1)),
            ],
        );
        self::assertSame(
            ['unknown_question', 'unknown_question', 'taken'],
            [
                $reason($this->event(EventKind::Answered, 1, 2)),
                $reason($this->event(EventKind::Shown, 1)),
                $reason($this->event(EventKind::Left, 1)),
            ],
        );
        foreach (['abc', '1e50', '0.9', '11', '1/0'] as $factor) {
            try {
                $terms->withExtraTime($factor);
                self::fail("{$factor} was taken.");
            } catch (InvalidTerms $refused) {
                self::assertStringEndsWith('.', $refused->getMessage());
            }
        }
    }

    public function test_own_times_leave_out_breaks_and_what_comes_after_a_limit(): void
    {
        $break = $this->fold(
            $this->terms(limit: 10 * self::MINUTE, pausable: false, breaks: 1),
            [
                $this->event(EventKind::Shown, 0, 0),
                $this->event(EventKind::BreakBegan, 10),
                $this->event(EventKind::BreakEnded, 70),
                $this->event(EventKind::Left, 75),
            ],
            90,
        );
        self::assertSame([15_000, 90_000], [$break->questions[0]->activeMs, $break->activeMs]);
        $turns = $this->fold(
            $this->terms(items: [new Item(), new Item()], questionLimit: 30_000),
            [$this->event(EventKind::Shown, 0, 0), $this->event(EventKind::Shown, 50, 1)],
            55,
        );
        self::assertSame([30_000, 5_000], array_column($turns->questions, 'activeMs'));
        $over = $this->fold($this->terms(limit: self::MINUTE), [$this->event(EventKind::Shown, 10, 0)], 500);
        self::assertSame(50_000, $over->questions[0]->activeMs);
    }

    public function test_the_same_set_in_another_order_is_no_change_and_nothing_is_no_answer(): void
    {
        $say = fn (array $value, int $second): Event => $this->event(
            kind: EventKind::Answered,
            second: $second,
            position: 0,
            value: $value,
        );
        $same = $this->fold(
            $this->terms(),
            [$say(['choices' => ['a', 'b']], 1), $say(['choices' => ['b', 'a']], 2)],
            9,
        );
        self::assertSame(0, $same->questions[0]->changes);
        self::assertSame(
            1,
            $this->fold($this->terms(), [$say(['order' => ['a', 'b']], 1), $say(['order' => ['b', 'a']], 2)], 9)
                ->questions[0]->changes,
        );
        foreach (
            [
                ['choices' => []],
                ['choice' => ''],
                ['text' => "\u{200B}\u{00A0}"],
                ['rows' => ['r' => ' ']],
                ['order' => []],
                ['text' => '', 'unit' => 'km'],
            ] as $nothing
        ) {
            $state = $this->fold($this->terms(), [$say(['choice' => 'a'], 1), $say($nothing, 2)], 9);
            self::assertSame([0, 1], [$state->answered(), $state->questions[0]->changes], json_encode($nothing) ?: '');
        }
    }

    public function test_terms_survive_being_stored(): void
    {
        $terms = $this->terms(
            items: [new Item(0), new Item(0), new Item(1, 's'), new Item(1, 's'), new Item(1)],
            limit: 100_000,
            sectionLimits: [50_000, null],
            pausable: false,
            breaks: 1,
        )->withExtraTime('1.5');
        self::assertEquals($terms, Terms::fromArray(json_decode((string) json_encode($terms->toArray()), true)));
        foreach (
            [
                [],
                ['items' => [[1, 5, null]]] + $terms->toArray(),
                ['items' => 'x'] + $terms->toArray(),
                ['mode' => 'nap'] + $terms->toArray(),
                ['limit' => '1/3'] + $terms->toArray(),
            ] as $bad
        ) {
            try {
                Terms::fromArray($bad);
                self::fail('It was read.');
            } catch (InvalidTerms) {
                self::addToAssertionCount(1);
            }
        }
    }

    public function test_what_is_shown_and_asked_is_kept_with_the_terms(): void
    {
        foreach ([true, false] as $on) {
            $terms = new Terms(mode: Mode::Tutor, items: [new Item(0)], runningScore: $on, asksSureness: $on);
            foreach ([$terms->withExtraTime('1.5'), Terms::fromArray($terms->toArray())] as $same) {
                self::assertSame([$on, $on], [$same->runningScore, $same->asksSureness]);
            }
        }
        // Terms of before these were asked for show no score and ask.
        $older = array_diff_key($terms->toArray(), ['runningScore' => 0, 'asksSureness' => 0]);
        self::assertSame(
            [false, true],
            [Terms::fromArray($older)->runningScore, Terms::fromArray($older)->asksSureness],
        );
    }

    public function test_papers_follow_the_rules_of_the_exam(): void
    {
        $rules = [
            'cut' => '0.65',
            'minutes' => 60,
            'readingMinutes' => 5,
            'break' => ['after' => 'a', 'minutes' => 5],
            'scale' => ['low' => 0, 'high' => 10, 'cut' => 5],
            'sections' => [
                ['code' => 'a', 'name' => 'A', 'questions' => 1, 'penalty' => '1/3'],
                ['code' => 'b', 'name' => 'B', 'questions' => 1],
            ],
        ];
        $terms = Terms::ofExam(Blueprint::of($rules), [new Item(0), new Item(1)]);
        self::assertSame(
            [Mode::Timed, 3_600_000, 300_000, 1, false],
            [$terms->mode, $terms->limit, $terms->reading, $terms->breaks, $terms->pausable],
        );
        self::assertSame(
            [['a', '1/3', null], ['b', '0', null]],
            array_map(
                fn (Section $section): array => [$section->code, $section->penalty, $section->limit],
                $terms->sections,
            ),
        );
        self::assertTrue(
            Terms::ofExam(Blueprint::of(['pause' => true] + $rules), [new Item(0), new Item(1)])->pausable,
        );
    }

    private function randomTerms(Randomizer $chance): Terms
    {
        $items = array_map(
            fn (int $i): Item => new Item(intdiv($i, 3) % 2, $chance->getInt(0, 3) === 0 ? 's' : null),
            range(0, 5),
        );

        return match ($chance->getInt(0, 5)) {
            5 => $this->terms(items: $items, limit: 300_000, pausable: false, breaks: 1, reading: 60_000),
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
        $events = [new Event(id: 'start', seq: 1, kind: EventKind::Started, at: 1000)];
        foreach (range(2, 40) as $seq) {
            $kind = $kinds[$chance->getInt(1, count($kinds) - 1)];
            if ($kind === EventKind::HandedIn && $chance->getInt(0, 5) > 0) {
                $kind = EventKind::Answered;
            }
            $at = $chance->getInt(1000, 350_000);
            $value = match ($kind) {
                EventKind::Answered => $chance->getInt(0, 4) === 0
                    ? null
                    : ['choice' => 'abcd'[$chance->getInt(0, 3)]],
                EventKind::Flagged => $chance->getInt(0, 1) === 1,
                EventKind::SectionBegan => $chance->getInt(-1, 3),
                default => null,
            };
            $events[] = new Event(
                id: "e{$seq}",
                seq: $seq,
                kind: $kind,
                at: $at,
                madeAt: $at - $chance->getInt(0, 8000),
                position: $chance->getInt(0, $questions - 1),
                value: $value,
            );
        }

        return $events;
    }

    private function comparable(State $state): State
    {
        $refused = $state->refused;
        ksort($refused);

        return new State(...['refused' => $refused] + (array) $state);
    }

    /** @param  list<Event>  $events */
    private function fold(Terms $terms, array $events, int $second): State
    {
        return Fold::of($terms, [$this->started(), ...$events], $second * 1000);
    }

    private function started(): Event
    {
        return new Event(id: 'started', seq: 0, kind: EventKind::Started, at: 0);
    }

    private function answer(int $position, string $choice, int $second): Event
    {
        return $this->event(
            kind: EventKind::Answered,
            second: $second,
            position: $position,
            value: ['choice' => $choice],
        );
    }

    /** @param  array<mixed>|int|null  $value */
    /** @param  array<mixed>|int|string|null  $value */
    private function event(
        EventKind $kind,
        int $second,
        ?int $position = null,
        array|bool|int|string|null $value = null,
    ): Event {
        $this->seq++;

        return new Event(
            id: "e{$this->seq}",
            seq: $this->seq,
            kind: $kind,
            at: $second * 1000,
            madeAt: null,
            position: $position,
            value: $value,
        );
    }

    /**
     * @param  list<Item>|null  $items
     * @param  list<int|null>  $sectionLimits
     */
    private function terms(
        Mode $mode = Mode::Timed,
        ?array $items = null,
        ?int $limit = null,
        array $sectionLimits = [],
        ?int $questionLimit = null,
        bool $pausable = true,
        int $breaks = 0,
        int $reading = 0,
    ): Terms {
        $sections = array_map(
            fn (?int $own, int $i): Section => new Section("s{$i}", "Section {$i}", $own),
            $sectionLimits,
            array_keys($sectionLimits),
        );
        $items ??= array_fill(0, 4, new Item());
        if ($sections === []) {
            $items = array_map(fn (Item $item): Item => new Item(0, $item->series), $items);
        }

        return new Terms(
            mode: $mode,
            items: $items,
            limit: $limit,
            sections: $sections,
            questionLimit: $questionLimit,
            pausable: $pausable,
            breaks: $breaks,
            reading: $reading,
        );
    }
}
