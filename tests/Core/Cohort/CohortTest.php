<?php

declare(strict_types=1);

namespace Tests\Core\Cohort;

use PHPUnit\Framework\TestCase;
use Uplandia\Core\Cohort\Cohort;
use Uplandia\Core\Cohort\ComparedSitting;
use Uplandia\Core\Cohort\FirstLook;
use Uplandia\Core\Cohort\ItemAnalysis;
use Uplandia\Core\Cohort\SimulatedAnswer;
use Uplandia\Core\Cohort\SimulatedPerson;
use Uplandia\Core\Cohort\Simulator;
use Uplandia\Core\Sitting\Sureness;
use Uplandia\Core\Statistics\Sample;

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

    public function test_a_score_belongs_to_the_step_that_it_has_reached(): void
    {
        $scores = [0.0499, 0.0501, 0.0999, 0.1499];
        $cohort = Cohort::of(array_map(
            fn (int $i, float $score): ComparedSitting => new ComparedSitting($i, 1, score: $score, answered: 1.0),
            array_keys($scores),
            $scores,
        ));
        self::assertSame([1, 2, 1, 0], array_slice($cohort->distribution(), 0, 4));
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

    /** Whatever changes them changes the demo, its figures and what is written of them: not by chance, then. */
    public function test_a_seed_gives_the_people_that_it_always_gave(): void
    {
        $simulator = new Simulator('pinned');
        $items = array_map(
            fn (int $i) => $simulator->item($i, $i % 2, ($i % 3) - 1.0, 0.25, 'a', ['b', 'c', 'd']),
            range(0, 9),
        );
        $told = static fn (SimulatedAnswer $answer): string => $answer->option
            .$answer->ms
            .$answer->sureness->value[0]
            .implode('', $answer->struck);
        $people = [];
        foreach (range(1, 60) as $_) {
            $people[] = implode(' ', array_map($told, $simulator->sit($simulator->person(2), $items)));
        }

        self::assertSame(
            'a27408s a27839ldb a45709l c55562lda a53341lbc a32382s a48728s a27025lbd a47864ldc a22721s',
            $people[0],
        );
        self::assertSame(
            'b59f7f87dc3603037ff09c2bad579f2ce12998c5f315aa97a9a0628e395ffd2d',
            hash('sha256', implode("\n", $people)),
        );
    }

    public function test_people_and_items_are_spread_as_stated(): void
    {
        $simulator = new Simulator('spread');
        $items = array_map(fn (int $i) => $simulator->item($i, 0, 1.0, 0.0), range(1, 6000));
        $people = array_map(fn () => $simulator->person(2), range(1, 6000));
        $spread = static fn (array $values): float => sqrt((float) Sample::variance($values));

        // b ± .4 round its label, a lognormal(0, .2); θ of a topic has 1 and .5² in it, and two topics share the 1.
        self::assertEqualsWithDelta(1.0, Sample::mean(array_column($items, 'b')), 0.02);
        self::assertEqualsWithDelta(0.4, $spread(array_column($items, 'b')), 0.015);
        self::assertEqualsWithDelta(0.2, $spread(array_map(fn ($item) => log($item->a), $items)), 0.01);
        $theta = array_column($people, 'theta');
        self::assertEqualsWithDelta(1.25, Sample::variance(array_column($theta, 0)), 0.07);
        self::assertEqualsWithDelta(
            0.5,
            Sample::variance(array_map(fn (array $of): float => $of[0] - $of[1], $theta)),
            0.04,
        );
        $quit = array_filter($people, fn (SimulatedPerson $person): bool => $person->quitsAfter < 1);
        self::assertEqualsWithDelta(0.06, count($quit) / 6000, 0.01);
        self::assertEqualsWithDelta(0.55, Sample::mean(array_column($quit, 'quitsAfter')), 0.03);

        // log time = β − τ + N(0, .3²): two answers to one item by one person differ by that alone.
        $logs = array_map(
            fn (): float => log($simulator->answer($people[0], $items[0])->ms / 1000),
            range(1, 6000),
        );
        self::assertEqualsWithDelta($items[0]->logSeconds - $people[0]->speed, Sample::mean($logs), 0.02);
        self::assertEqualsWithDelta(0.3, $spread($logs), 0.012);
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
                $looks[] = new FirstLook(
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
