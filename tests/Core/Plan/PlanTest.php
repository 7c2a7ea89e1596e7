<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Uplandia\Core\Plan\Hours;
use Uplandia\Core\Plan\Met;
use Uplandia\Core\Plan\Plan;
use Uplandia\Core\Plan\Rehearsal;
use Uplandia\Core\Plan\Topic;
use Uplandia\Core\Plan\Week;

/** The weeks up to an exam. */
final class PlanTest extends TestCase
{
    /** Monday, 1 June 2026. */
    private const MONDAY = 20605;

    private const HOUR = 3_600_000;

    /** @return list<Topic> with more to work on than there is time for */
    private static function topics(int $unseen = 60, float $stake = 0.0): array
    {
        $met = [self::met(400)];

        return [
            new Topic(weight: '60', unseen: $unseen, met: $met, stake: 0.0),
            new Topic(weight: '30', unseen: $unseen, met: $met, stake: 3 * $stake),
            new Topic(weight: '10', unseen: $unseen, met: $met, stake: $stake),
        ];
    }

    /** Last seen two months ago, unless said otherwise. */
    private static function met(int $n, int $day = self::MONDAY - 60, ?int $due = null, bool $gap = false): Met
    {
        return new Met(n: $n, day: $day, due: $due, gap: $gap);
    }

    /** Five hours a week from Monday to Friday, three minutes a question: 20 a day. */
    private static function hours(float $week = 5.0, int ...$daysOff): Hours
    {
        return new Hours(week: $week, weekdaysOff: [6, 7], daysOff: array_values($daysOff));
    }

    #[TestWith([20605, 1])]
    #[TestWith([20611, 7])]
    #[TestWith([20612, 1])]
    #[TestWith([0, 4])]
    public function test_days_have_weekdays(int $day, int $weekday): void
    {
        self::assertSame($weekday, Hours::weekday($day));
        self::assertSame($day - $weekday + 1, Hours::monday($day));
    }

    #[TestWith([0])]
    #[TestWith([-1])]
    #[TestWith([-400])]
    public function test_from_the_day_of_the_exam_on_nothing_is_planned_and_nothing_missing(int $in): void
    {
        $plan = Plan::of(
            today: self::MONDAY,
            examDay: self::MONDAY + $in,
            hours: self::hours(),
            topics: self::topics(),
            due: [self::MONDAY - 1 => 12],
            rehearsal: new Rehearsal(questions: 60, ms: 90 * 60_000),
        );
        self::assertSame([], $plan->weeks);
        self::assertSame([0, 0, 0, true], [
            $plan->missingMs, $plan->leftOutRevisits, $plan->leftOutRehearsals, $plan->fits(),
        ]);
        self::assertSame([0], array_values(array_unique($plan->leftOut)));
    }

    public function test_weeks_run_from_monday_to_sunday_and_end_before_the_exam(): void
    {
        // From Wednesday to the day before a Tuesday, two weeks on.
        $plan = Plan::of(
            today: self::MONDAY + 2,
            examDay: self::MONDAY + 15,
            hours: self::hours(),
            topics: self::topics(),
            due: [],
            rehearsal: null,
        );
        $days = array_map(fn (Week $week): array => [$week->from, $week->to, count($week->days)], $plan->weeks);
        self::assertSame([
            [self::MONDAY + 2, self::MONDAY + 6, 3],
            [self::MONDAY + 7, self::MONDAY + 13, 5],
            [self::MONDAY + 14, self::MONDAY + 14, 1],
        ], $days);
        self::assertSame([3 * self::HOUR, 5 * self::HOUR, self::HOUR], array_column($plan->weeks, 'ms'));
        foreach ([self::MONDAY + 2, self::MONDAY] as $exam) {
            self::assertSame([], Plan::of(
                today: self::MONDAY + 2,
                examDay: $exam,
                hours: self::hours(),
                topics: self::topics(),
                due: [],
                rehearsal: null,
            )->weeks);
        }
    }

    public function test_revisits_come_first_then_the_rehearsal_then_half_new_and_half_where_most_is_at_stake(): void
    {
        // Five weeks of a hundred questions each; 25 revisits overdue, 4 in the second week.
        $plan = Plan::of(
            today: self::MONDAY,
            examDay: self::MONDAY + 35,
            hours: self::hours(),
            topics: self::topics(stake: 0.5),
            due: [self::MONDAY - 9 => 20, self::MONDAY + 6 => 5, self::MONDAY + 7 => 4],
            rehearsal: new Rehearsal(questions: 60, ms: 2 * self::HOUR),
        );
        self::assertSame([25, 4, 0, 0, 0], array_column($plan->weeks, 'revisits'));
        // On the last day of study of its week; not on the two days before the exam, which is a Monday.
        self::assertSame(
            [null, null, self::MONDAY + 18, self::MONDAY + 25, self::MONDAY + 32],
            array_column($plan->weeks, 'rehearsal'),
        );
        $new = array_map(fn (Week $week): int => array_sum($week->new), $plan->weeks);
        $weak = array_map(fn (Week $week): int => array_sum($week->weak), $plan->weeks);
        // All 180 should be seen in the first three weeks: 60 a week; half of 75, 96 and 60 is what there is.
        self::assertSame([38, 48, 30, 30, 30], $new);
        self::assertSame([37, 48, 30, 30, 30], $weak);
        // By weight over what is unseen, and by stake.
        self::assertSame([23, 11, 4], $plan->weeks[0]->new);
        self::assertSame([0, 28, 9], $plan->weeks[0]->weak);
        // Four new ones are never met: twelve minutes are missing.
        self::assertSame(4, array_sum($plan->leftOut));
        self::assertSame(4 * 180_000, $plan->missingMs);
        self::assertFalse($plan->fits());
        foreach ($plan->weeks as $week) {
            self::assertSame($week->ms, $week->plannedMs);
        }
    }

    public function test_what_is_unseen_is_spread_evenly_where_there_is_time(): void
    {
        $plan = Plan::of(
            today: self::MONDAY,
            examDay: self::MONDAY + 42,
            hours: self::hours(10.0, ...range(self::MONDAY + 7, self::MONDAY + 11)),
            topics: self::topics(20),
            due: [],
            rehearsal: null,
        );
        // Four weeks until two weeks before the exam, the second of them off.
        self::assertSame(
            [20, 0, 20, 20, 0, 0],
            array_map(fn (Week $week): int => array_sum($week->new), $plan->weeks),
        );
        self::assertSame(0, $plan->weeks[1]->ms);
        self::assertTrue($plan->fits());
        self::assertSame([0, 0, 0], $plan->leftOut);
        // No stake is known, so the rest goes by weight.
        self::assertSame([108, 54, 18], $plan->weeks[0]->weak);
    }

    public function test_all_is_seen_two_weeks_before_an_exam_on_any_day_of_the_week(): void
    {
        // The exam is on a Tuesday, so the Monday fifteen days before it still counts: one day of the fifth week.
        $plan = Plan::of(
            today: self::MONDAY,
            examDay: self::MONDAY + 43,
            hours: self::hours(10.0),
            topics: self::topics(20),
            due: [],
            rehearsal: null,
        );
        self::assertSame(
            [15, 15, 14, 14, 2, 0, 0],
            array_map(fn (Week $week): int => array_sum($week->new), $plan->weeks),
        );
    }

    public function test_nothing_is_planned_of_a_topic_without_questions(): void
    {
        $plan = Plan::of(
            today: self::MONDAY,
            examDay: self::MONDAY + 7,
            hours: self::hours(),
            topics: [
                new Topic(weight: '50', unseen: 0, met: [], stake: 5.0),
                new Topic(weight: '50', unseen: 0, met: [self::met(9)], stake: 1.0),
            ],
            due: [],
            rehearsal: null,
        );
        // No more than there is; the rest of the hours is left over.
        self::assertSame([0, 9], $plan->weeks[0]->weak);
        self::assertSame(91 * 180_000, $plan->weeks[0]->spareMs());
        self::assertTrue($plan->fits());
    }

    public function test_a_question_is_worked_on_once_in_a_week_and_only_a_gap_or_what_was_not_seen_for_a_month(): void
    {
        $weak = fn (Met ...$met): array => array_map(
            fn (Week $week): int => $week->weak[0],
            Plan::of(
                today: self::MONDAY,
                examDay: self::MONDAY + 42,
                hours: self::hours(),
                topics: [new Topic(weight: '1', unseen: 0, met: array_values($met), stake: 1.0)],
                due: [],
                rehearsal: null,
            )->weeks,
        );
        // Seen 25 days ago: thirty days are over on Saturday, and again five weeks later.
        self::assertSame([3, 0, 0, 0, 0, 3], $weak(self::met(3, self::MONDAY - 25)));
        self::assertSame([0, 3, 0, 0, 0, 0], $weak(self::met(3, self::MONDAY - 23)));
        // An open gap, missed yesterday: on Sunday seven days are over, and then each week.
        self::assertSame([2, 2, 2, 2, 2, 2], $weak(self::met(2, self::MONDAY - 1, gap: true)));
        self::assertSame([0, 2, 2, 2, 2, 2], $weak(self::met(2, self::MONDAY, gap: true)));
        // What comes back in a week is its revisit, not this; seven days later a gap can be worked on.
        self::assertSame([2, 2, 0, 2, 2, 2], $weak(
            self::met(2, self::MONDAY - 8, due: self::MONDAY + 15, gap: true),
        ));
        self::assertSame([0, 0, 0, 0, 0, 0], $weak(self::met(4, self::MONDAY - 20, due: self::MONDAY + 9)));
        self::assertSame([0, 0, 0, 0, 0, 4], $weak(self::met(4, self::MONDAY - 40, due: self::MONDAY - 3)));
    }

    public function test_what_was_new_is_worked_on_a_month_later(): void
    {
        $plan = Plan::of(
            today: self::MONDAY,
            examDay: self::MONDAY + 49,
            hours: self::hours(),
            topics: [new Topic(weight: '1', unseen: 10, met: [], stake: 1.0)],
            due: [],
            rehearsal: null,
        );
        self::assertSame([2, 2, 2, 2, 2, 0, 0], array_map(fn (Week $week): int => $week->new[0], $plan->weeks));
        self::assertSame([0, 0, 0, 0, 0, 2, 2], array_map(fn (Week $week): int => $week->weak[0], $plan->weeks));
    }

    public function test_what_a_later_week_has_no_room_for_is_met_earlier_where_hours_are_left_over(): void
    {
        $plan = Plan::of(
            today: self::MONDAY,
            examDay: self::MONDAY + 28,
            hours: self::hours(),
            topics: [new Topic(weight: '1', unseen: 120, met: [], stake: 0.0)],
            // The second week is all revisits.
            due: [self::MONDAY + 7 => 100],
            rehearsal: new Rehearsal(questions: 60, ms: 5 * self::HOUR),
        );
        // Two rehearsals fill the last two weeks, the third does not fit into the second.
        self::assertSame([null, null, self::MONDAY + 18, self::MONDAY + 25], array_column($plan->weeks, 'rehearsal'));
        self::assertSame([100, 0, 0, 0], array_map(fn (Week $week): int => $week->new[0], $plan->weeks));
        self::assertSame([20, 1], [$plan->leftOut[0], $plan->leftOutRehearsals]);
    }

    public function test_what_does_not_fit_is_named(): void
    {
        $plan = Plan::of(
            today: self::MONDAY,
            examDay: self::MONDAY + 6,
            hours: self::hours(1.0),
            topics: self::topics(),
            due: [self::MONDAY => 30],
            rehearsal: new Rehearsal(questions: 60, ms: 2 * self::HOUR),
        );
        // Twenty questions: revisits take them all.
        self::assertSame([20, 0, null], [
            $plan->weeks[0]->revisits, array_sum($plan->weeks[0]->new), $plan->weeks[0]->rehearsal,
        ]);
        self::assertSame([10, 1, 180], [
            $plan->leftOutRevisits, $plan->leftOutRehearsals, array_sum($plan->leftOut),
        ]);
        self::assertSame(190 * 180_000 + 2 * self::HOUR, $plan->missingMs);
    }

    public function test_there_is_no_rehearsal_in_the_last_two_days(): void
    {
        $last = fn (int $today): ?int => Plan::of(
            today: $today,
            examDay: self::MONDAY + 4,
            hours: self::hours(40.0),
            topics: self::topics(),
            due: [],
            rehearsal: new Rehearsal(questions: 60, ms: self::HOUR),
        )->weeks[0]->rehearsal;
        self::assertSame(self::MONDAY + 1, $last(self::MONDAY));
        self::assertNull($last(self::MONDAY + 2));
    }

    public function test_whoever_has_rehearsed_this_week_need_not_again(): void
    {
        $days = fn (bool $rehearsed): array => array_column(Plan::of(
            today: self::MONDAY,
            examDay: self::MONDAY + 21,
            hours: self::hours(),
            topics: self::topics(),
            due: [],
            rehearsal: new Rehearsal(questions: 60, ms: self::HOUR),
            rehearsed: $rehearsed,
        )->weeks, 'rehearsal');
        self::assertSame([self::MONDAY + 4, self::MONDAY + 11, self::MONDAY + 18], $days(false));
        self::assertSame([null, self::MONDAY + 11, self::MONDAY + 18], $days(true));
    }

    public function test_what_was_not_done_is_spread_over_what_is_left(): void
    {
        $at = fn (int $today, int $unseen): array => array_map(
            fn (Week $week): int => array_sum($week->new),
            Plan::of(
                today: $today,
                examDay: self::MONDAY + 42,
                hours: self::hours(20.0),
                topics: self::topics($unseen),
                due: [],
                rehearsal: null,
            )->weeks,
        );
        self::assertSame([45, 45, 45, 45, 0, 0], $at(self::MONDAY, 60));
        // A week later nothing was done: three weeks bear what four did.
        self::assertSame([60, 60, 60, 0, 0], $at(self::MONDAY + 7, 60));
        self::assertSame([45, 45, 45, 0, 0], $at(self::MONDAY + 7, 45));
    }

    /** How often so many questions can be worked on before an exam. */
    private static function most(int $n, int $from, int $exam, int $rest): int
    {
        return $from >= $exam ? 0 : $n * (1 + intdiv($exam - 1 - $from, $rest));
    }

    public function test_any_plan_adds_up_and_the_same_state_gives_the_same(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(hash('sha256', 'plans', true)));
        for ($run = 0; $run < 300; $run++) {
            $today = self::MONDAY + $chance->getInt(0, 6);
            $exam = $today + $chance->getInt(1, 120);
            $topics = array_map(fn (int $i): Topic => new Topic(
                weight: (string) $chance->getInt(1, 30),
                unseen: $chance->getInt(0, 80),
                met: array_map(fn (): Met => self::met(
                    $chance->getInt(1, 9),
                    $today - $chance->getInt(0, 60),
                    $chance->getInt(0, 1) === 0 ? null : min($exam - 1, $today + $chance->getInt(-9, 90)),
                    $chance->getInt(0, 1) === 0,
                ), range(1, $chance->getInt(1, 8))),
                stake: $chance->getInt(0, 400) / 100,
            ), range(1, $chance->getInt(1, 9)));
            $due = [];
            for ($i = $chance->getInt(0, 12); $i > 0; $i--) {
                $due[min($exam - 1, $today + $chance->getInt(-20, 90))] = $chance->getInt(1, 30);
            }
            $off = array_slice($chance->shuffleArray(range(1, 7)), 0, $chance->getInt(0, 6));
            $hours = new Hours(
                week: $chance->getInt(1, 160) / 2,
                weekdaysOff: $off,
                daysOff: [$today + $chance->getInt(0, 40), $today + $chance->getInt(0, 40)],
                questionMs: $chance->getInt(20_000, 400_000),
            );
            $rehearsal = $chance->getInt(0, 3) === 0 ? null : new Rehearsal(60, $chance->getInt(30, 240) * 60_000);
            $make = fn (): Plan => Plan::of(
                today: $today,
                examDay: $exam,
                hours: $hours,
                topics: $topics,
                due: $due,
                rehearsal: $rehearsal,
            );
            $plan = $make();
            self::assertEquals($plan, $make());
            $revisits = array_sum(array_column($plan->weeks, 'revisits'));
            self::assertSame(array_sum($due), $revisits + $plan->leftOutRevisits);
            foreach ($topics as $t => $topic) {
                $new = array_sum(array_map(fn (Week $week): int => $week->new[$t], $plan->weeks));
                self::assertSame($topic->unseen, $new + $plan->leftOut[$t]);
                // No question more often than once in seven days, or in thirty, from when it may be worked on.
                $most = self::most($topic->unseen, $today + 30, $exam, 30);
                foreach ($topic->met as $met) {
                    $rest = $met->gap ? 7 : 30;
                    $most += self::most($met->n, max($today, $met->day + $rest), $exam, $rest);
                }
                $weak = array_sum(array_map(fn (Week $week): int => $week->weak[$t], $plan->weeks));
                self::assertLessThanOrEqual($most, $weak);
            }
            $before = $today - 1;
            foreach ($plan->weeks as $week) {
                self::assertSame($before + 1, $week->from);
                $before = $week->to;
                self::assertLessThanOrEqual($week->ms, $week->plannedMs);
                self::assertSame(
                    $week->plannedMs,
                    $week->questions() * $hours->questionMs + ($week->rehearsal === null ? 0 : $rehearsal->ms ?? 0),
                );
                // While hours are left over, nothing is left out that they could take.
                if ($week->spareMs() >= $hours->questionMs) {
                    self::assertSame(0, array_sum($plan->leftOut));
                }
                foreach ($week->days as $day) {
                    self::assertFalse($hours->isOff($day));
                }
                if ($week->rehearsal !== null) {
                    self::assertContains($week->rehearsal, $week->days);
                    self::assertLessThan($exam - 2, $week->rehearsal);
                }
            }
            self::assertSame($exam - 1, $before);
            $rehearsals = count(array_filter(array_column($plan->weeks, 'rehearsal')));
            self::assertLessThanOrEqual(3, $rehearsals + $plan->leftOutRehearsals);
            self::assertSame($plan->missingMs === 0, $plan->fits());
        }
    }
}
