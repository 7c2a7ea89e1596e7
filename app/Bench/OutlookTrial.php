<?php

declare(strict_types=1);

namespace App\Bench;

use Uplandia\Core\Assembly\Allocation;
use Uplandia\Core\Cohort\Calibration;
use Uplandia\Core\Cohort\Model;
use Uplandia\Core\Cohort\Patterns;
use Uplandia\Core\Cohort\SimulatedItem;
use Uplandia\Core\Cohort\SimulatedPerson;
use Uplandia\Core\Cohort\Simulator;
use Uplandia\Core\Progress\AbilityEstimator;
use Uplandia\Core\Progress\Item;
use Uplandia\Core\Progress\Mastery;
use Uplandia\Core\Progress\PassOutlook;
use Uplandia\Core\Progress\Prior;
use Uplandia\Core\Progress\Response;

/**
 * Is the pass outlook calibrated? The trial of computation.md, section 8: a bank of 280 questions over 8 topics is
 * calibrated on 400 people who answered 60 % of it; new people answer 40 to 160 questions, are given an outlook, and
 * then sit an exam of 60 with a cut of .65.
 */
final readonly class OutlookTrial
{
    private const TOPICS = 8;

    private const QUESTIONS = 280;

    private const CALIBRATED_ON = 400;

    private const EXAM = 60;

    private const NEEDED = 39;

    private const BANDS = 10;

    /**
     * @param  list<array{from: float, n: int, predicted: float, observed: float}>  $bands  ten of predicted chance,
     *   those with people
     * @param  float  $skill  Brier skill against always predicting the base rate
     */
    private function __construct(
        public array $bands,
        public float $baseRate,
        public float $brier,
        public float $skill,
    ) {
    }

    public static function run(int $people, string $seed = 'outlook trial'): self
    {
        $simulator = new Simulator($seed);
        $bank = self::bank($simulator);
        [$items, $prior] = self::calibrated($simulator, $bank);
        $byTopic = array_fill(0, self::TOPICS, []);
        foreach ($bank as $i => $question) {
            $byTopic[$question->topic][] = $i;
        }
        $byTopic = array_values($byTopic);
        $sizes = array_map(count(...), $byTopic);
        $exam = Allocation::of(self::EXAM, $sizes, $sizes)->counts;
        $estimator = new AbilityEstimator($prior);
        $outlooks = $passes = [];
        for ($i = 0; $i < $people; $i++) {
            $person = $simulator->person(self::TOPICS);
            $outlooks[] = self::outlook(
                simulator: $simulator,
                estimator: $estimator,
                person: $person,
                bank: $bank,
                items: $items,
                byTopic: $byTopic,
                exam: $exam,
            );
            $passes[] = self::passes(
                simulator: $simulator,
                person: $person,
                bank: $bank,
                byTopic: $byTopic,
                exam: $exam,
            );
        }

        return self::summed($outlooks, $passes);
    }

    /** @return list<SimulatedItem> */
    private static function bank(Simulator $simulator): array
    {
        $bank = [];
        for ($i = 0; $i < self::QUESTIONS; $i++) {
            $bank[] = $simulator->item(
                $i,
                $i % self::TOPICS,
                [-1.0, 0.0, 0.0, 1.0][intdiv($i, self::TOPICS) % 4],
                $i % 4 === 3 ? 0.0 : 0.25,
            );
        }

        return $bank;
    }

    /**
     * Difficulties with c held fixed, and the spread of the cohort: in the Rasch form θ = σz, the common slope is σ.
     *
     * @param  list<SimulatedItem>  $bank
     * @return array{list<Item>, Prior}
     */
    private static function calibrated(Simulator $simulator, array $bank): array
    {
        $people = [];
        for ($i = 0; $i < self::CALIBRATED_ON; $i++) {
            $person = $simulator->person(self::TOPICS);
            $pattern = [];
            foreach ($bank as $j => $question) {
                if ($simulator->chance->happens(0.6)) {
                    $pattern[$j] = $simulator->chance->happens($simulator->probability($person, $question))
                        ? 1.0
                        : 0.0;
                }
            }
            $people[] = $pattern;
        }
        $found = (new Calibration(model: Model::Rasch, nodes: 41, tolerance: 1e-3, mostRounds: 60))->of(
            Patterns::ofPeople($people, count($bank)),
            array_map(fn (SimulatedItem $item): float => $item->c, $bank),
        );

        return [
            array_map(fn (int $j): Item => new Item(-$found->items[$j]->d, $bank[$j]->c), array_keys($bank)),
            new Prior(0.0, $found->items[0]->a),
        ];
    }

    /**
     * @param  list<SimulatedItem>  $bank
     * @param  list<Item>  $items
     * @param  list<list<int>>  $byTopic
     * @param  list<int>  $exam
     */
    private static function outlook(
        Simulator $simulator,
        AbilityEstimator $estimator,
        SimulatedPerson $person,
        array $bank,
        array $items,
        array $byTopic,
        array $exam,
    ): float {
        $responses = [];
        $asked = array_slice($simulator->chance->shuffled(array_keys($bank)), 0, $simulator->chance->between(40, 160));
        foreach ($asked as $j) {
            $right = $simulator->chance->happens($simulator->probability($person, $bank[$j]));
            $responses[] = new Response(
                topic: $bank[$j]->topic,
                b: $items[$j]->b,
                c: $items[$j]->c,
                x: $right ? 1.0 : 0.0,
            );
        }
        $ability = $estimator->estimate($responses, self::TOPICS);
        $mastery = array_map(
            fn (int $t): Mastery => Mastery::of(
                $ability,
                $t,
                array_map(fn (int $j): Item => $items[$j], $byTopic[$t]),
            ),
            range(0, self::TOPICS - 1),
        );

        return PassOutlook::of(ability: $ability, questions: $exam, needed: self::NEEDED, mastery: $mastery)->chance;
    }

    /**
     * @param  list<SimulatedItem>  $bank
     * @param  list<list<int>>  $byTopic
     * @param  list<int>  $exam
     */
    private static function passes(
        Simulator $simulator,
        SimulatedPerson $person,
        array $bank,
        array $byTopic,
        array $exam,
    ): bool {
        $right = 0;
        foreach ($exam as $t => $n) {
            foreach (array_slice($simulator->chance->shuffled($byTopic[$t]), 0, $n) as $j) {
                $right += $simulator->chance->happens($simulator->probability($person, $bank[$j])) ? 1 : 0;
            }
        }

        return $right >= self::NEEDED;
    }

    /**
     * @param  list<float>  $outlooks
     * @param  list<bool>  $passes
     */
    private static function summed(array $outlooks, array $passes): self
    {
        $n = $predicted = $observed = array_fill(0, self::BANDS, 0);
        $brier = 0.0;
        foreach ($outlooks as $i => $chance) {
            $band = min(self::BANDS - 1, (int) floor($chance * self::BANDS));
            $n[$band]++;
            $predicted[$band] += $chance;
            $observed[$band] += $passes[$i] ? 1 : 0;
            $brier += ($chance - ($passes[$i] ? 1 : 0)) ** 2;
        }
        $people = count($outlooks);
        $base = array_sum($observed) / $people;
        $bands = [];
        foreach (array_filter($n) as $band => $size) {
            $bands[] = [
                'from' => $band / self::BANDS,
                'n' => $size,
                'predicted' => $predicted[$band] / $size,
                'observed' => $observed[$band] / $size,
            ];
        }
        $brier /= $people;

        return new self(bands: $bands, baseRate: $base, brier: $brier, skill: 1 - $brier / ($base * (1 - $base)));
    }
}
