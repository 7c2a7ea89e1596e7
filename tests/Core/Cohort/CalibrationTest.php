<?php

declare(strict_types=1);

namespace Tests\Core\Cohort;

use PHPUnit\Framework\TestCase;
use Uplandia\Core\Cohort\Calibrated;
use Uplandia\Core\Cohort\Calibration;
use Uplandia\Core\Cohort\FirstLook;
use Uplandia\Core\Cohort\GaussHermite;
use Uplandia\Core\Cohort\InvalidData;
use Uplandia\Core\Cohort\ItemAnalysis;
use Uplandia\Core\Cohort\ItemStatistics;
use Uplandia\Core\Cohort\Model;
use Uplandia\Core\Cohort\Patterns;
use Uplandia\Core\Cohort\Reliability;
use Uplandia\Core\Cohort\Simulator;
use Uplandia\Core\Statistics\Sample;

final class CalibrationTest extends TestCase
{
    private const LSAT6 = [
        3,
        6,
        2,
        11,
        1,
        1,
        3,
        4,
        1,
        8,
        0,
        16,
        0,
        3,
        2,
        15,
        10,
        29,
        14,
        81,
        3,
        28,
        15,
        80,
        16,
        56,
        21,
        173,
        11,
        61,
        28,
        298,
    ];

    private function lsat6(): Patterns
    {
        $patterns = $counts = [];
        foreach (self::LSAT6 as $i => $n) {
            // Patterns that nobody gave are there too: a count of 0 does no harm.
            $patterns[] = array_map(floatval(...), str_split(sprintf('%05b', $i)));
            $counts[] = $n;
        }

        return new Patterns($patterns, $counts, 5);
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $b
     */
    private function assertParameters(array $a, array $b, float $logLikelihood, Calibrated $found): void
    {
        foreach ($found->items as $i => $item) {
            self::assertSame(sprintf('%.3f', $a[$i]), sprintf('%.3f', $item->a));
            self::assertSame(sprintf('%.3f', $b[$i]), sprintf('%.3f', $item->b));
        }
        self::assertSame(sprintf('%.3f', $logLikelihood), sprintf('%.3f', $found->logLikelihood));
        self::assertTrue($found->converged);
    }

    public function test_two_parameters_of_lsat_section_six_as_published(): void
    {
        $found = (new Calibration(Model::TwoParameter))->of($this->lsat6());

        $this->assertParameters(
            a: [0.826, 0.723, 0.891, 0.688, 0.657],
            b: [-3.359, -1.37, -0.28, -1.866, -3.126],
            logLikelihood: -2466.653,
            found: $found,
        );
        self::assertEqualsWithDelta([0.867, 0.308, 0.1, 0.434, 0.871], array_column($found->items, 'seB'), 6e-4);
    }

    public function test_rasch_of_lsat_section_six_as_published(): void
    {
        $found = (new Calibration(Model::Rasch))->of($this->lsat6());

        $this->assertParameters(
            a: array_fill(0, 5, 0.755),
            b: [-3.615, -1.322, -0.318, -1.73, -2.78],
            logLikelihood: -2466.938,
            found: $found,
        );
        self::assertEqualsWithDelta([0.3266, 0.1422, 0.0977, 0.1691, 0.251], array_column($found->items, 'seB'), 6e-5);
        self::assertEqualsWithDelta(array_fill(0, 5, 0.0694), array_column($found->items, 'seA'), 6e-5);
    }

    public function test_simulated_items_are_recovered(): void
    {
        $simulator = new Simulator('recovery');
        $items = array_map(fn (int $i) => $simulator->item($i, 0, (($i % 5) - 2) * 0.7, 0.0), range(0, 39));
        $people = array_map(function () use ($simulator, $items): array {
            $theta = $simulator->chance->normal();

            return array_map(
                fn ($item): float => $simulator->chance->happens(1 / (1 + exp(-$item->a * ($theta - $item->b))))
                    ? 1.0
                    : 0.0,
                $items,
            );
        }, range(1, 800));
        $found = (new Calibration(Model::TwoParameter, 41, 1e-3))->of(Patterns::ofPeople($people, 40));

        self::assertGreaterThan(
            0.97,
            Sample::correlation(array_column($items, 'b'), array_column($found->items, 'b')),
        );
        self::assertGreaterThan(0.5, Sample::correlation(array_column($items, 'a'), array_column($found->items, 'a')));
    }

    public function test_little_data_is_drawn_to_the_authors_difficulty(): void
    {
        $people = [[0 => 1.0, 1 => 0.0], [0 => 1.0, 1 => 1.0], [0 => 1.0, 1 => 0.0], [0 => 1.0]];
        $shrunk = (new Calibration(Model::TwoParameter))->of(Patterns::ofPeople($people, 3), author: [-1.0, 0.0, 1.0])
            ->items;

        // By maximising the posterior over a fine grid of abilities, with another program.
        self::assertEqualsWithDelta([-1.6999, 0.3322, 1.0], array_column($shrunk, 'b'), 1e-4);
        self::assertEqualsWithDelta([1.2015, 1.0107, 1.0], array_column($shrunk, 'a'), 1e-4);
        // Nobody answered the third: it is what its author says, and as unsure as the prior.
        self::assertEqualsWithDelta(1.0, $shrunk[2]->seB, 1e-6);
    }

    public function test_what_nobody_answered_is_as_unsure_as_its_author_whatever_the_common_slope(): void
    {
        $answers = new Patterns(
            patterns: [[1.0, 1.0, 1.0], [1.0, 1.0, 0.0], [1.0, 0.0, 0.0], [0.0, 0.0, 0.0]],
            counts: [40, 20, 20, 40],
            items: 4,
        );
        $items = (new Calibration(Model::Rasch))->of($answers, author: [0.0, 0.0, 0.0, 2.0])->items;
        self::assertGreaterThan(1.5, $items[3]->a);
        // On the scale that is reported under a common slope, b = −d.
        self::assertEqualsWithDelta(2.0, -$items[3]->d, 1e-6);
    }

    /** What is found is the highest point of the posterior as it is worked out here, once more and in another way. */
    public function test_what_is_found_is_the_highest_point_of_the_posterior(): void
    {
        $people = array_map(
            fn (string $answers): array => array_map(floatval(...), str_split($answers)),
            ['110', '100', '111', '000', '111', '000'],
        );
        $author = [1.5, 0.0, -1.0];
        foreach ([Model::Rasch, Model::TwoParameter] as $model) {
            $found = (new Calibration($model, tolerance: 1e-9))
                ->of(Patterns::ofPeople($people, 3), author: $author)->items;
            $a = array_column($found, 'a');
            $d = array_column($found, 'd');
            $top = self::posterior(model: $model, people: $people, author: $author, a: $a, d: $d);
            $moves = $model === Model::Rasch ? [[1, 1, 1]] : [[1, 0, 0], [0, 1, 0], [0, 0, 1]];
            foreach ([0.02, -0.02] as $by) {
                foreach ($moves as $move) {
                    $there = array_map(fn (float $one, int $on): float => $one + $by * $on, $a, $move);
                    $height = self::posterior(model: $model, people: $people, author: $author, a: $there, d: $d);
                    self::assertLessThan($top, $height, "{$model->name}: slope");
                }
                foreach ([[1, 0, 0], [0, 1, 0], [0, 0, 1]] as $move) {
                    $there = array_map(fn (float $one, int $on): float => $one + $by * $on, $d, $move);
                    $height = self::posterior(model: $model, people: $people, author: $author, a: $a, d: $there);
                    self::assertLessThan($top, $height, "{$model->name}: intercept");
                }
            }
        }
    }

    /**
     * @param  list<list<float>>  $people
     * @param  list<float>  $author
     * @param  list<float>  $a
     * @param  list<float>  $d
     */
    private static function posterior(Model $model, array $people, array $author, array $a, array $d): float
    {
        $log = 0.0;
        foreach ($people as $answers) {
            $sum = 0.0;
            for ($theta = -7.0; $theta <= 7.0; $theta += 0.05) {
                $density = exp(-$theta ** 2 / 2) / sqrt(2 * M_PI) * 0.05;
                foreach ($answers as $i => $x) {
                    $p = 1 / (1 + exp(-($a[$i] * $theta + $d[$i])));
                    $density *= $x === 1.0 ? $p : 1 - $p;
                }
                $sum += $density;
            }
            $log += log($sum);
        }
        foreach ($author as $i => $b) {
            $log -= (($model === Model::Rasch ? -$d[$i] : -$d[$i] / $a[$i]) - $b) ** 2 / 2;
            $log -= $model === Model::Rasch && $i > 0 ? 0.0 : log($a[$i]) ** 2 / (2 * 0.25);
        }

        return $log;
    }

    public function test_the_weight_of_the_authors_word_fades_without_a_jump(): void
    {
        $b = function (int $people): float {
            $answers = new Patterns(
                [[0 => 1.0, 1 => 1.0], [0 => 0.0, 1 => 0.0], [0 => 1.0, 1 => 0.0], [0 => 0.0, 1 => 1.0]],
                [$people, $people, $people, $people],
                2,
            );

            return (new Calibration(Model::Rasch))->of($answers, author: [2.0, -2.0])->items[0]->b;
        };
        $before = 2.0;
        foreach ([1, 5, 20, 49, 50, 51, 200] as $people) {
            self::assertLessThan($before, $b($people));
            self::assertGreaterThan(0.0, $b($people));
            $before = $b($people);
        }
        // Around 200 answers in all nothing jumps.
        self::assertEqualsWithDelta($b(49), $b(50), 0.01);
        self::assertEqualsWithDelta($b(50), $b(51), 0.01);
    }

    public function test_an_item_that_everybody_got_right_stays_finite(): void
    {
        $answers = new Patterns([[0 => 1.0, 1 => 1.0], [0 => 1.0, 1 => 0.0]], [150, 150], 2);
        $item = (new Calibration(Model::TwoParameter))->of($answers, author: [0.0, 0.0])->items[0];
        self::assertTrue(abs($item->b) < 6 && $item->a < 6 && $item->seB !== null && is_finite($item->seB));
    }

    public function test_errors_of_many_items_agree_with_those_of_the_whole_matrix(): void
    {
        $simulator = new Simulator('errors');
        $items = array_map(fn (int $i) => $simulator->item($i, 0, (($i % 5) - 2) * 0.6, 0.0), range(0, 41));
        $people = array_map(function () use ($simulator, $items): array {
            $theta = $simulator->chance->normal();

            return array_map(
                fn ($item): float => $simulator->chance->happens(1 / (1 + exp(-$item->a * ($theta - $item->b))))
                    ? 1.0
                    : 0.0,
                $items,
            );
        }, range(1, 400));
        $all = (new Calibration(Model::TwoParameter, 41, 1e-3))->of(Patterns::ofPeople($people, 42));
        $fewer = (new Calibration(Model::TwoParameter, 41, 1e-3))->of(
            Patterns::ofPeople(array_map(fn (array $row): array => array_slice($row, 0, 40), $people), 40),
        );
        foreach (range(0, 39) as $i) {
            self::assertEqualsWithDelta(
                1.0,
                (float) $all->items[$i]->seB / (float) $fewer->items[$i]->seB,
                0.12,
                "item {$i}",
            );
        }
    }

    public function test_gauss_hermite_integrates_the_moments_of_a_normal(): void
    {
        foreach ([2, 15, 41, 61] as $n) {
            $grid = GaussHermite::of($n);
            $moment = fn (int $k): float => array_sum(
                array_map(fn (float $x, float $w): float => $w * $x ** $k, $grid->nodes, $grid->weights),
            );
            self::assertEqualsWithDelta([1.0, 0.0, 1.0], [$moment(0), $moment(1), $moment(2)], 1e-10);
            if ($n > 2) {
                self::assertEqualsWithDelta(3.0, $moment(4), 1e-9);
            }
        }
    }

    public function test_item_statistics_of_a_small_table(): void
    {
        $looks = [];
        foreach ([[1, 1, 1], [1, 1, 0], [1, 0, 0], [0, 0, 0]] as $person => $row) {
            foreach ($row as $item => $credit) {
                $looks[] = new FirstLook(
                    person: $person,
                    item: $item,
                    credit: (float) $credit,
                    option: $credit ? 'k' : 'w',
                    ms: 4000 + 1000 * $person,
                );
            }
        }
        $looks[] = new FirstLook(person: 9, item: 0, credit: 0.0, option: 'w', ms: 2999);
        $statistics = ItemAnalysis::of($looks);

        self::assertSame([4, 0.75], [$statistics[0]->n, $statistics[0]->facility]);
        // Credits 1 1 1 0 against rest means 1 .5 0 0.
        self::assertEqualsWithDelta(0.5222, $statistics[0]->itemRest, 1e-4);
        self::assertSame(1.0, $statistics[1]->upperLower);
        self::assertSame(['k' => 0.75, 'w' => 0.25], $statistics[0]->optionShares);
        self::assertSame([4750.0, 5500.0, 6250.0], $statistics[0]->quartilesMs);
        self::assertSame(['z'], $statistics[0]->idle(['k', 'w', 'z'], ['k']));
        self::assertFalse($statistics[0]->mayBeShown());
        // Three seconds are enough to have read; a twentieth of the choices makes a distractor live.
        self::assertSame(
            [4, 5],
            array_map(
                fn (int $ms): int => ItemAnalysis::of([
                    ...$looks,
                    new FirstLook(person: 10, item: 0, credit: 0.0, option: 'w', ms: $ms),
                ])[0]->n,
                [2999, 3000],
            ),
        );
        $choice = fn (int $chose): array => (new ItemStatistics(
            n: 100,
            facility: 0.5,
            itemRest: null,
            upperLower: null,
            optionShares: ['k' => 1 - $chose / 100, 'w' => $chose / 100],
            quartilesMs: null,
        ))->idle(['k', 'w'], ['k']);
        self::assertSame([['w'], []], [$choice(4), $choice(5)]);
    }

    public function test_the_rest_is_a_mean_of_what_each_person_answered_besides(): void
    {
        // Items 0 to 3; who has an item not at all did not meet it.
        $table = [[1, 1, 1, 1], [1, 0], [0, 1, 0], [1], [0, 0, 1, 0]];
        $looks = [];
        foreach ($table as $person => $row) {
            foreach ($row as $item => $credit) {
                $looks[] = new FirstLook($person, $item, (float) $credit);
            }
        }
        $first = ItemAnalysis::of($looks)[0];
        // Nothing besides tells about the fourth person. Of the others: credits 1 1 0 0, rest means 1, 0, ½ and ⅓.
        self::assertSame(5, $first->n);
        self::assertEqualsWithDelta(
            Sample::correlation([1, 1, 0, 0], [1, 0, 1 / 2, 1 / 3]),
            $first->itemRest,
            1e-12,
        );
        self::assertEqualsWithDelta(0.1155, $first->itemRest, 1e-4);
    }

    public function test_a_rapid_guess_is_under_a_tenth_of_the_median_where_that_is_longer(): void
    {
        $looks = array_map(
            fn (int $person): FirstLook => new FirstLook(
                person: $person,
                item: 0,
                credit: 1.0,
                option: 'k',
                ms: 60_000,
            ),
            range(1, 9),
        );
        self::assertSame(
            [9, 10],
            array_map(
                fn (int $ms): int => ItemAnalysis::of([
                    ...$looks,
                    new FirstLook(person: 10, item: 0, credit: 0.0, option: 'w', ms: $ms),
                ])[0]->n,
                [5999, 6000],
            ),
        );
    }

    public function test_upper_and_lower_are_twenty_seven_in_a_hundred(): void
    {
        // Of 37 people ten, where 25 % were nine and 30 % eleven: right are the ten best, and the tenth from below.
        $looks = [];
        foreach (range(0, 36) as $person) {
            $looks[] = new FirstLook($person, 0, $person >= 27 || $person === 9 ? 1.0 : 0.0);
            $looks[] = new FirstLook($person, 1, $person / 36);
        }
        self::assertEqualsWithDelta(0.9, ItemAnalysis::of($looks)[0]->upperLower, 1e-12);
        // Eleven people: 27 % are three. The three best by the rest got it right, of the others only the two worst.
        $looks = [];
        foreach (range(0, 10) as $person) {
            $looks[] = new FirstLook($person, 0, in_array($person, [0, 1, 8, 9, 10], true) ? 1.0 : 0.0);
            $looks[] = new FirstLook($person, 1, $person / 10);
        }
        self::assertEqualsWithDelta(1 - 2 / 3, ItemAnalysis::of($looks)[0]->upperLower, 1e-12);
    }

    public function test_alpha_and_the_standard_error_of_measurement(): void
    {
        // KR-20 of this table by hand: p·q adds to .1875 + .25 + .1875, sample-corrected ×4/3; total variance 5/3.
        $reliability = Reliability::of([[1.0, 1.0, 1.0], [1.0, 1.0, 0.0], [1.0, 0.0, 0.0], [0.0, 0.0, 0.0]]);

        self::assertEqualsWithDelta(0.75, $reliability?->alpha, 1e-12);
        self::assertEqualsWithDelta(sqrt(5 / 3) * 0.5, $reliability->sem, 1e-12);
        self::assertNull(Reliability::of([[1.0, 0.0], [0.0, 1.0]]));
        $this->expectException(InvalidData::class);
        Reliability::of([[1.0, 0.0], [0.0]]);
    }

    public function test_what_is_perfectly_reliable_has_no_error_and_never_none_at_all(): void
    {
        foreach (range(2, 60) as $items) {
            $people = array_map(fn (int $person): array => array_fill(0, $items, $person / 7), range(0, 6));
            self::assertEqualsWithDelta(0.0, Reliability::of($people)?->sem, 1e-6, "{$items} items");
        }
    }

    public function test_data_that_cannot_be_are_refused(): void
    {
        foreach (
            [
                fn () => new Patterns([], [], 1),
                fn () => new Patterns([[5 => 1.0]], [1], 2),
                fn () => new Patterns([[0 => NAN]], [1], 1),
                fn () => (new Calibration(Model::Rasch))->of($this->lsat6(), [0.2]),
            ] as $make
        ) {
            try {
                $make();
                self::fail('Was accepted.');
            } catch (InvalidData) {
                self::addToAssertionCount(1);
            }
        }
    }
}
