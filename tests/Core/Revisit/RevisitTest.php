<?php

declare(strict_types=1);

namespace Tests\Core\Revisit;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Revisit\Attempt;
use Uplandia\Core\Revisit\Encounter;
use Uplandia\Core\Revisit\Gap;
use Uplandia\Core\Revisit\GapMove;
use Uplandia\Core\Revisit\GapState;
use Uplandia\Core\Revisit\Grade;
use Uplandia\Core\Revisit\Memory;
use Uplandia\Core\Revisit\RevisitWord;
use Uplandia\Core\Revisit\Scheduler;
use Uplandia\Core\Revisit\Standing;
use Uplandia\Core\Sitting\Sureness;

final class RevisitTest extends TestCase
{
    public function test_the_reviews_of_the_worked_example(): void
    {
        $memory = Scheduler::first(Grade::Good);
        $seen = [[$memory->stability, $memory->difficulty]];
        foreach ([[3, 3], [4, 10], [1, 30], [2, 2], [3, 5]] as [$grade, $days]) {
            $memory = Scheduler::next($memory, Grade::from($grade), $days);
            $seen[] = [$memory->stability, $memory->difficulty];
        }
        $expected = [
            [2.3065, 2.1181],
            [13.8269, 2.1112],
            [76.8034, 1],
            [3.4429, 7.027],
            [5.833, 8.0116],
            [12.0914, 7.9988],
        ];
        foreach ($expected as $i => $pair) {
            self::assertEqualsWithDelta($pair, $seen[$i], 6e-5, "review {$i}");
        }
    }

    public function test_recall_after_as_many_days_as_the_stability_is_nine_tenths(): void
    {
        self::assertEqualsWithDelta(0.9, Scheduler::recall(new Memory(17.3, 5), 17.3), 1e-12);
        self::assertSame(1.0, Scheduler::recall(new Memory(17.3, 5), 0));
    }

    public function test_an_interval_is_at_least_a_day_and_ends_before_the_exam(): void
    {
        self::assertSame(14, Scheduler::interval(new Memory(13.83, 2)));
        self::assertSame(1, Scheduler::interval(new Memory(0.2, 2)));
        self::assertSame(9, Scheduler::interval(new Memory(13.83, 2), 10));
        self::assertSame(1, Scheduler::interval(new Memory(13.83, 2), 1));
        // As the published algorithm has it, nothing waits longer than a hundred years.
        self::assertSame(36_500, Scheduler::interval(new Memory(36_500.4, 2)));
        self::assertSame(36_500, Scheduler::interval(new Memory(1e9, 2)));
        self::assertSame(36_500, Scheduler::interval(new Memory(1e30, 2)));
    }

    public function test_memory_stays_within_bounds_through_any_history(): void
    {
        $chance = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(5));
        for ($round = 0; $round < 200; $round++) {
            $memory = Scheduler::first(Grade::from($chance->getInt(1, 4)));
            for ($i = 0; $i < 30; $i++) {
                $before = $memory;
                $grade = Grade::from($chance->getInt(1, 4));
                $memory = Scheduler::next($memory, $grade, $chance->getInt(1, 200));
                self::assertGreaterThanOrEqual(1.0, $memory->difficulty);
                self::assertLessThanOrEqual(10.0, $memory->difficulty);
                self::assertGreaterThan(0.0, $memory->stability);
                self::assertSame($grade === Grade::Lost, $memory->stability < $before->stability);
            }
        }
    }

    #[TestWith([Outcome::Missed, Sureness::Sure, 1000, 1])]
    #[TestWith([Outcome::LeftBlank, null, 1000, 1])]
    #[TestWith([Outcome::Partly, Sureness::Sure, 1000, 2])]
    #[TestWith([Outcome::Right, Sureness::Guess, 1000, 2])]
    #[TestWith([Outcome::Right, Sureness::Leaning, 1000, 3])]
    #[TestWith([Outcome::Right, null, 1000, 3])]
    #[TestWith([Outcome::Right, Sureness::Sure, 30_000, 3])]
    #[TestWith([Outcome::Right, Sureness::Sure, 29_999, 4])]
    public function test_grades_follow_outcome_sureness_and_speed(
        Outcome $outcome,
        ?Sureness $sureness,
        int $ms,
        int $grade,
    ): void {
        self::assertSame(
            $grade,
            Grade::of(outcome: $outcome, sureness: $sureness, ms: $ms, medianMs: 30_000.0)->value,
        );
    }

    /** @param  list<array{int, string, string|null}>  $attempts */
    #[TestWith([[[1, 'missed', null], [2, 'right', null], [3, 'right', null]], 3])]
    #[TestWith([[[1, 'missed', null], [2, 'right', null], [2, 'right', null]], null])]
    #[TestWith([[[1, 'missed', null], [2, 'right', null], [2, 'right', null], [4, 'right', 'sure']], 4])]
    #[TestWith([[[1, 'missed', null], [2, 'right', null], [3, 'right', 'guess']], null])]
    #[TestWith([[[1, 'missed', null], [2, 'right', 'guess'], [3, 'right', 'leaning']], 3])]
    #[TestWith([[[1, 'missed', null], [2, 'right', null], [3, 'partly', null], [4, 'right', null]], null])]
    #[TestWith([[[1, 'missed', null], [2, 'right', null], [3, 'right', null], [9, 'missed', null]], null])]
    #[TestWith([[], null])]
    public function test_a_gap_closes_after_two_right_answers_on_different_days(array $attempts, ?int $closedOn): void
    {
        $gap = Gap::after(
            array_map(
                fn (array $attempt): Attempt => new Attempt(
                    $attempt[0],
                    Outcome::from($attempt[1]),
                    $attempt[2] === null ? null : Sureness::from($attempt[2]),
                ),
                $attempts,
            ),
        );

        self::assertSame([$closedOn === null, $closedOn], [$gap->isOpen, $gap->closedOn]);
    }

    public function test_forgetting_takes_stability_no_further_than_the_published_cap(): void
    {
        // With a short memory the formula alone would let a lapse leave more than there was.
        $before = new Memory(0.05, 1.0);
        $after = Scheduler::next($before, Grade::Lost, 30);
        self::assertEqualsWithDelta(0.05 / exp(0.5425 * 0.0912), $after->stability, 1e-12);
        self::assertLessThan($before->stability, $after->stability);
    }

    private function met(int $day, string $outcome, ?string $sureness = null, bool $flagged = false): Encounter
    {
        return new Encounter(
            at: $day * 86_400_000,
            day: $day,
            outcome: Outcome::from($outcome),
            sureness: $sureness === null ? null : Sureness::from($sureness),
            flagged: $flagged,
            ms: 40_000,
            medianMs: 30_000.0,
        );
    }

    public function test_a_question_that_was_never_reached_stays_new(): void
    {
        self::assertNull(Standing::after([]));
        self::assertNull(Standing::after([$this->met(1, 'not_reached')]));
        self::assertSame(
            [1, Outcome::Missed],
            [
                Standing::after([$this->met(1, 'missed'), $this->met(2, 'not_reached')])?->seen,
                Standing::after([$this->met(1, 'missed'), $this->met(2, 'not_reached')])->outcome,
            ],
        );
    }

    public function test_a_later_sitting_never_takes_a_flag_away(): void
    {
        self::assertTrue(Standing::after([$this->met(1, 'right', flagged: true), $this->met(2, 'right')])?->flagged);
        self::assertFalse(Standing::after([$this->met(1, 'right')])?->flagged);
    }

    public function test_false_footing_is_that_of_the_latest_look(): void
    {
        self::assertTrue(Standing::after([$this->met(1, 'right'), $this->met(2, 'missed', 'sure')])?->falseFooting);
        self::assertFalse(
            Standing::after([$this->met(1, 'missed', 'sure'), $this->met(2, 'missed', 'guess')])?->falseFooting,
        );
    }

    /** @param  list<array{int, string, string|null}>  $story */
    #[TestWith([[[1, 'right', null]], false, 0])]
    #[TestWith([[[1, 'left_blank', null]], false, 0])]
    #[TestWith([[[1, 'partly', null]], true, 1])]
    #[TestWith([[[1, 'missed', null], [2, 'missed', null]], true, 1])]
    #[TestWith([[[1, 'missed', null], [2, 'right', null], [3, 'right', null]], false, 1])]
    #[TestWith([[[1, 'missed', null], [2, 'right', null], [2, 'right', null]], true, 1])]
    #[TestWith([[[1, 'missed', null], [2, 'right', null], [3, 'right', 'guess']], true, 1])]
    #[TestWith([[[1, 'missed', null], [2, 'right', null], [3, 'right', null], [4, 'missed', null]], true, 2])]
    #[TestWith([[[1, 'right', null], [2, 'right', null], [3, 'missed', null]], true, 1])]
    public function test_the_gap_book_opens_closes_and_counts(array $story, bool $open, int $misses): void
    {
        $standing = Standing::after(array_map(fn (array $one): Encounter => $this->met(...$one), $story));
        self::assertSame([$open, $misses], [$standing?->gapOpen, $standing?->misses]);
    }

    /** @param  list<array{int, string, string|null}>  $story */
    #[TestWith([[[1, 'missed', null]], 2, false, false, 1])]
    #[TestWith([[[1, 'missed', null]], 2, true, true, 1])]
    #[TestWith([[[1, 'right', null]], 2, true, true, 0])]
    #[TestWith([[[1, 'right', null]], 2, false, false, 0])]
    // Taken out, until it goes wrong again.
    #[TestWith([[[1, 'missed', null], [3, 'missed', null]], 2, false, true, 2])]
    #[TestWith([[[1, 'missed', null], [3, 'left_blank', null]], 2, false, false, 1])]
    // Put in, until it goes right on two days.
    #[TestWith([[[1, 'right', null], [3, 'right', null]], 2, true, true, 0])]
    #[TestWith([[[1, 'right', null], [3, 'right', null], [4, 'right', null]], 2, true, false, 0])]
    // Put in while it is open: what went right before goes on to count.
    #[TestWith([[[1, 'missed', null], [2, 'right', null], [4, 'right', null]], 3, true, false, 1])]
    // At the same moment the answer comes first.
    #[TestWith([[[2, 'missed', null]], 2, false, false, 1])]
    public function test_a_move_by_hand_holds_until_an_answer_says_otherwise(
        array $story,
        int $day,
        bool $into,
        bool $open,
        int $misses,
    ): void {
        $met = array_map(fn (array $one): Encounter => $this->met(...$one), $story);
        $standing = Standing::after($met, new GapMove($day * 86_400_000, $day, $into));
        self::assertSame([$open, $misses], [$standing?->gapOpen, $standing?->misses]);
        self::assertNull(Standing::after([], new GapMove(1, 1, true)));
    }

    /** @param  list<array{int, string, string|null}>  $story */
    #[TestWith([[[1, 'right', null]], null, null])]
    #[TestWith([[[3, 'missed', null]], GapState::Open, 3])]
    #[TestWith([[[3, 'missed', null], [4, 'left_blank', null]], GapState::Open, 3])]
    #[TestWith([[[3, 'missed', null], [5, 'right', 'guess']], GapState::Closing, 3])]
    #[TestWith([[[3, 'missed', null], [5, 'right', null], [5, 'right', null]], GapState::Closing, 3])]
    #[TestWith([[[3, 'missed', null], [5, 'right', null], [6, 'left_blank', null]], GapState::Open, 3])]
    #[TestWith([[[3, 'missed', null], [5, 'right', null], [8, 'right', null]], GapState::Closed, 8])]
    #[TestWith([
        [[3, 'missed', null], [5, 'right', null], [8, 'right', null], [9, 'right', null]], GapState::Closed, 8,
    ])]
    #[TestWith([
        [[3, 'missed', null], [5, 'right', null], [8, 'right', null], [9, 'partly', null]], GapState::Open, 9,
    ])]
    public function test_a_gap_is_open_closing_or_closed_since_a_day(array $story, ?GapState $state, ?int $day): void
    {
        $standing = Standing::after(array_map(fn (array $one): Encounter => $this->met(...$one), $story));
        self::assertSame([$state, $day], [$standing?->gap, $standing?->gapDay]);
    }

    public function test_a_move_by_hand_has_its_day_too(): void
    {
        $move = fn (int $day, bool $into): GapMove => new GapMove($day * 86_400_000, $day, $into);
        $out = Standing::after([$this->met(1, 'missed')], $move(4, false));
        self::assertSame([GapState::Closed, 4], [$out?->gap, $out?->gapDay]);
        $in = Standing::after([$this->met(1, 'right')], $move(4, true));
        self::assertSame([GapState::Open, 4], [$in?->gap, $in?->gapDay]);
        $closing = Standing::after([$this->met(1, 'right'), $this->met(6, 'right')], $move(4, true));
        self::assertSame([GapState::Closing, 4], [$closing?->gap, $closing?->gapDay]);
        $again = Standing::after([$this->met(1, 'missed'), $this->met(6, 'missed')], $move(4, false));
        self::assertSame([GapState::Open, 6], [$again?->gap, $again?->gapDay]);
        $nothing = Standing::after([$this->met(1, 'missed')], $move(4, true));
        self::assertSame([GapState::Open, 1], [$nothing?->gap, $nothing?->gapDay]);
    }

    public function test_a_word_on_when_it_comes_back_holds_until_the_next_answer(): void
    {
        $due = fn (int $said, bool $suspended, ?int $until, Encounter ...$met): ?int => Standing::after(
            array_values($met),
            null,
            new RevisitWord($said * 86_400_000 + 5, $suspended, $until),
        )?->dueDay;
        $met = $this->met(100, 'right');
        self::assertSame(102, $due(100, false, null, $met));
        self::assertNull($due(100, true, null, $met));
        self::assertSame(110, $due(100, false, 110, $met));
        // It waits; it never comes sooner.
        self::assertSame(102, $due(100, false, 101, $met));
        // An answer after it makes the waiting void, and what stays away stays away.
        self::assertSame(101 + 1, $due(100, false, 130, $met, $this->met(101, 'missed')));
        self::assertNull($due(100, true, null, $met, $this->met(101, 'missed')));
        // At the same moment the answer comes first, and the word is of before.
        self::assertSame(102, Standing::after(
            [$met],
            null,
            new RevisitWord(100 * 86_400_000, false, 110),
        )?->dueDay);
        self::assertNull($due(100, false, 110, $this->met(100, 'pending')));
    }

    public function test_how_firmly_it_is_remembered_goes_with_it(): void
    {
        $standing = Standing::after([$this->met(100, 'right'), $this->met(103, 'right'), $this->met(104, 'pending')]);
        self::assertEqualsWithDelta(13.8269, $standing?->memory?->stability, 0.00005);
        self::assertSame(103, $standing?->rememberedDay);
        $waits = Standing::after([$this->met(100, 'pending')]);
        self::assertSame([null, null], [$waits?->memory, $waits?->rememberedDay]);
    }

    public function test_it_comes_back_when_the_schedule_says_and_not_while_it_waits_to_be_marked(): void
    {
        self::assertSame(100 + 2, Standing::after([$this->met(100, 'right')])?->dueDay);
        self::assertSame(103 + 14, Standing::after([$this->met(100, 'right'), $this->met(103, 'right')])?->dueDay);
        self::assertSame(100 + 1, Standing::after([$this->met(100, 'missed')])?->dueDay);
        self::assertNull(Standing::after([$this->met(100, 'pending')])?->dueDay);
        self::assertSame(102, Standing::after([$this->met(100, 'right'), $this->met(101, 'pending')])?->dueDay);
    }
}
