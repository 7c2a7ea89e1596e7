<?php

declare(strict_types=1);

namespace Tests\Core\Cohort;

use PHPUnit\Framework\TestCase;
use Uplandia\Core\Cohort\Cohort;
use Uplandia\Core\Cohort\ComparedSitting;
use Uplandia\Core\Cohort\ItemAnalysis;
use Uplandia\Core\Cohort\Look;
use Uplandia\Core\Cohort\SimulatedPerson;
use Uplandia\Core\Cohort\Simulator;
use Uplandia\Core\Sitting\Sureness;

final class CohortTest extends TestCase
{
    public function test_a_percentile_counts_those_below_and_half_of_the_equal(): void
    {
        $cohort = Cohort::of(
            array_map(
                fn (int $i): ComparedSitting => new ComparedSitting(
                    candidate: $i,
                    at: 1,
                    score: [0.2, 0.4, 0.4, 0.6, 0.8][$i],
                    answered: 1.0,
                ),
                range(0, 4),
            ),
        );

        self::assertSame(
            [0.4, 0.0, 1.0],
            [$cohort->percentile(0.4), $cohort->percentile(0.1), $cohort->percentile(0.9)],
        );
        self::assertSame([5, 0.4, false], [$cohort->size(), $cohort->median(), $cohort->mayBeShown()]);
        self::assertNull(Cohort::of([])->percentile(0.5));
    }

    public function test_each_candidate_counts_once_with_the_latest_that_was_mostly_answered(): void
    {
        $cohort = Cohort::of([
            new ComparedSitting(candidate: 1, at: 10, score: 0.3, answered: 1.0),
            new ComparedSitting(candidate: 1, at: 20, score: 0.7, answered: 0.8),
            new ComparedSitting(candidate: 1, at: 30, score: 0.1, answered: 0.79),
            new ComparedSitting(candidate: 2, at: 5, score: 0.5, answered: 0.5),
        ]);

        self::assertSame(1, $cohort->size());
        // The latest, not the best, in whatever order they come.
        self::assertSame(
            0.2,
            Cohort::of([
                new ComparedSitting(candidate: 1, at: 20, score: 0.2, answered: 1.0),
                new ComparedSitting(candidate: 1, at: 10, score: 0.9, answered: 1.0),
            ])->median(),
        );
        self::assertSame(0.7, $cohort->median());
    }

    public function test_a_distribution_counts_every_score_once(): void
    {
        $cohort = Cohort::of(
            array_map(
                fn (int $i): ComparedSitting => new ComparedSitting(
                    candidate: $i,
                    at: 1,
                    score: [-0.1, 0.0, 0.05, 0.999, 1.0][$i],
                    answered: 1.0,
                ),
                range(0, 4),
            ),
        );

        self::assertSame([2, 1, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 2], $cohort->distribution());
    }

    public function test_the_same_seed_gives_the_same_cohort(): void
    {
        $run = function (string $seed): array {
            $simulator = new Simulator($seed);
            $items = array_map(
                fn (int $i) => $simulator->item($i, $i % 3, 0.0, 0.25, 'a', ['b', 'c', 'd']),
                range(0, 19),
            );

            return array_map(fn () => $simulator->sit($simulator->person(3), $items), range(1, 5));
        };

        self::assertEquals($run('x'), $run('x'));
        self::assertNotEquals($run('x'), $run('y'));
    }

    public function test_people_answer_as_their_ability_says(): void
    {
        $simulator = new Simulator('law of large numbers');
        $item = $simulator->item(1, 0, 0.0, 0.25, 'a', ['b', 'c', 'd']);
        foreach ([-1.0, 0.0, 1.5] as $theta) {
            $person = new SimulatedPerson([$theta], 0.0, 0.0);
            $answers = array_map(fn () => $simulator->answer($person, $item), range(1, 4000));
            self::assertEqualsWithDelta(
                $simulator->probability($person, $item),
                count(array_filter($answers, fn ($answer) => $answer->right)) / 4000,
                0.03,
            );
            foreach ($answers as $answer) {
                self::assertSame($answer->right, $answer->option === 'a');
            }
        }
    }

    public function test_some_quit_and_some_rush_at_the_end(): void
    {
        $simulator = new Simulator('ends');
        $items = array_map(fn (int $i) => $simulator->item($i, 0, 0.0, 0.25, 'a', ['b', 'c', 'd']), range(0, 39));
        $quitter = $simulator->sit(new SimulatedPerson([0.0], 0.0, 0.0, quitsAfter: 0.5), $items);
        $rusher = $simulator->sit(new SimulatedPerson([0.0], 0.0, 0.0, rushesAfter: 0.9), $items);

        self::assertCount(20, $quitter);
        self::assertCount(40, $rusher);
        foreach (array_slice($rusher, 36) as $answer) {
            self::assertLessThan(3000, $answer->ms);
            self::assertSame(Sureness::Guess, $answer->sureness);
        }
    }

    public function test_sureness_goes_with_being_right_and_plausible_distractors_are_chosen_more(): void
    {
        $simulator = new Simulator('sureness');
        $items = array_map(
            fn (int $i) => $simulator->item($i, 0, (($i % 3) - 1) * 1.0, 0.25, 'a', ['b', 'c', 'd']),
            range(0, 29),
        );
        $looks = [];
        $right = $all = ['sure' => 0, 'leaning' => 0, 'guess' => 0];
        foreach (range(1, 300) as $person) {
            foreach ($simulator->sit($simulator->person(1), $items) as $answer) {
                $looks[] = new Look(
                    person: $person,
                    item: $answer->item,
                    credit: $answer->right ? 1.0 : 0.0,
                    option: $answer->option,
                    ms: $answer->ms,
                );
                $all[$answer->sureness->value]++;
                $right[$answer->sureness->value] += $answer->right ? 1 : 0;
            }
        }
        self::assertGreaterThan($right['leaning'] / $all['leaning'], $right['sure'] / $all['sure']);
        self::assertGreaterThan($right['guess'] / $all['guess'], $right['leaning'] / $all['leaning']);
        foreach (ItemAnalysis::of($looks) as $id => $statistics) {
            $distractors = $items[$id]->distractors;
            arsort($distractors);
            [$most, , $least] = array_keys($distractors);
            self::assertGreaterThanOrEqual(
                ($statistics->optionShares[$least] ?? 0) - 0.05,
                $statistics->optionShares[$most] ?? 0,
            );
            self::assertGreaterThan(0, $statistics->itemRest);
        }
    }
}
