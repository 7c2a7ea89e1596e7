<?php

declare(strict_types=1);

namespace Tests\Core\Calibration;

use PHPUnit\Framework\TestCase;
use Uplandia\Core\Calibration\Answers;
use Uplandia\Core\Calibration\Calibrated;
use Uplandia\Core\Calibration\Calibration;
use Uplandia\Core\Calibration\GaussHermite;
use Uplandia\Core\Calibration\InvalidData;
use Uplandia\Core\Calibration\ItemAnalysis;
use Uplandia\Core\Calibration\Look;
use Uplandia\Core\Calibration\Model;
use Uplandia\Core\Calibration\Reliability;
use Uplandia\Core\Cohort\Simulator;
use Uplandia\Core\Statistics\Sample;

final class CalibrationTest extends TestCase
{
    private const LSAT6 = [3, 6, 2, 11, 1, 1, 3, 4, 1, 8, 0, 16, 0, 3, 2, 15, 10, 29, 14, 81, 3, 28, 15, 80, 16, 56, 21, 173, 11, 61, 28, 298];

    private function lsat6(): Answers
    {
        $patterns = $counts = [];
        foreach (self::LSAT6 as $i => $n) {
            if ($n > 0) {
                $patterns[] = array_map(floatval(...), str_split(sprintf('%05b', $i)));
                $counts[] = $n;
            }
        }

        return new Answers($patterns, $counts, 5);
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
        $found = (new Calibration(Model::TwoParameter, 41, 1e-6, 5000))->of($this->lsat6());

        $this->assertParameters([.826, .723, .891, .688, .657], [-3.359, -1.370, -.280, -1.866, -3.126], -2466.653, $found);
        // Standard errors of the same model and data, as found in the literature to about a tenth.
        self::assertEqualsWithDelta([.26, .19, .23, .19, .21], array_map(fn ($item) => (float) $item->seA, $found->items), .04);
    }

    public function test_rasch_of_lsat_section_six_as_published(): void
    {
        $found = (new Calibration(Model::Rasch, 41, 1e-6, 5000))->of($this->lsat6());

        $this->assertParameters(array_fill(0, 5, .755), [-3.615, -1.322, -.318, -1.730, -2.780], -2466.938, $found);
        self::assertNull($found->items[0]->seA);
        self::assertEqualsWithDelta(.10, $found->items[1]->seB, .05);
    }

    public function test_simulated_items_are_recovered(): void
    {
        $simulator = new Simulator('recovery');
        $items = array_map(fn (int $i) => $simulator->item($i, 0, ($i % 5 - 2) * .7, 0.0), range(0, 39));
        $people = array_map(function () use ($simulator, $items): array {
            $theta = $simulator->chance->normal();

            return array_map(fn ($item): float => $simulator->chance->happens(1 / (1 + exp(-$item->a * ($theta - $item->b)))) ? 1.0 : 0.0, $items);
        }, range(1, 800));
        $found = (new Calibration(Model::TwoParameter, 41, 1e-3))->of(Answers::ofPeople($people, 40));

        self::assertGreaterThan(.97, Sample::correlation(array_column($items, 'b'), array_column($found->items, 'b')));
        self::assertGreaterThan(.5, Sample::correlation(array_column($items, 'a'), array_column($found->items, 'a')));
    }

    public function test_little_data_is_drawn_to_the_authors_difficulty(): void
    {
        $people = [[0 => 1.0, 1 => 0.0], [0 => 1.0, 1 => 1.0], [0 => 1.0, 1 => 0.0], [0 => 1.0]];
        $calibration = new Calibration(Model::TwoParameter);
        $shrunk = $calibration->of(Answers::ofPeople($people, 3), author: [-1.0, 0.0, 1.0])->items;

        self::assertEqualsWithDelta(-1.6, $shrunk[0]->b, .5);
        self::assertEqualsWithDelta(0.2, $shrunk[1]->b, .4);
        // Nobody answered the third: it is what its author says.
        self::assertEqualsWithDelta(1.0, $shrunk[2]->b, .01);
        self::assertEqualsWithDelta(1.0, $shrunk[2]->a, .01);
    }

    public function test_gauss_hermite_integrates_the_moments_of_a_normal(): void
    {
        foreach ([2, 15, 41, 61] as $n) {
            $grid = GaussHermite::of($n);
            $moment = fn (int $k): float => array_sum(array_map(fn (float $x, float $w): float => $w * $x ** $k, $grid->nodes, $grid->weights));
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
                $looks[] = new Look($person, $item, (float) $credit, $credit ? 'k' : 'w', 4000 + 1000 * $person);
            }
        }
        $looks[] = new Look(9, 0, 0.0, 'w', 2999);
        $statistics = ItemAnalysis::of($looks);

        self::assertSame([4, .75], [$statistics[0]->n, $statistics[0]->facility]);
        // Credits 1 1 1 0 against rest means 1 .5 0 0.
        self::assertEqualsWithDelta(.5222, $statistics[0]->itemRest, 1e-4);
        self::assertSame(1.0, $statistics[1]->upperLower);
        self::assertSame(['k' => .75, 'w' => .25], $statistics[0]->optionShares);
        self::assertSame([4750.0, 5500.0, 6250.0], $statistics[0]->quartilesMs);
        self::assertSame(['z'], $statistics[0]->idle(['k', 'w', 'z'], ['k']));
        self::assertFalse($statistics[0]->mayBeShown());
    }

    public function test_alpha_and_the_standard_error_of_measurement(): void
    {
        // KR-20 of this table by hand: p·q adds to .1875 + .25 + .1875, sample-corrected ×4/3; total variance 5/3.
        $reliability = Reliability::of([[1.0, 1.0, 1.0], [1.0, 1.0, 0.0], [1.0, 0.0, 0.0], [0.0, 0.0, 0.0]]);

        self::assertEqualsWithDelta(.75, $reliability?->alpha, 1e-12);
        self::assertEqualsWithDelta(sqrt(5 / 3) * .5, $reliability->sem, 1e-12);
        self::assertNull(Reliability::of([[1.0, 0.0], [0.0, 1.0]]));
        $this->expectException(InvalidData::class);
        Reliability::of([[1.0, 0.0], [0.0]]);
    }

    public function test_data_that_cannot_be_are_refused(): void
    {
        foreach ([fn () => new Answers([], [], 1), fn () => new Answers([[5 => 1.0]], [1], 2), fn () => new Answers([[0 => NAN]], [1], 1), fn () => (new Calibration(Model::Rasch))->of($this->lsat6(), [.2])] as $make) {
            try {
                $make();
                self::fail('Was accepted.');
            } catch (InvalidData) {
                self::addToAssertionCount(1);
            }
        }
    }
}
