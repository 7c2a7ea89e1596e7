<?php

declare(strict_types=1);

namespace App\Bench;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Uplandia\Core\Cohort\SimulatedItem;
use Uplandia\Core\Cohort\SimulatedPerson;
use Uplandia\Core\Cohort\Simulator;
use Uplandia\Core\Progress\AbilityEstimator;
use Uplandia\Core\Progress\Adaptive;
use Uplandia\Core\Progress\AdaptiveAnswer;
use Uplandia\Core\Progress\AdaptiveEnding;
use Uplandia\Core\Progress\AdaptiveItem;
use Uplandia\Core\Progress\Item;
use Uplandia\Core\Progress\Prior;

/**
 * What an adaptive test is worth: simulated people sit one on a bank of 280 questions over 8 topics, as in the trial
 * of the outlook, and beside it a test drawn at random, which is read twice: by its share, as other tests are, and by
 * the same model. How near does each come to the share of the bank that they would really get right?
 *
 * @phpstan-type Band array{
 *     from: float, n: int, bias: float, error: float, length: float, decided: float, right: float
 * }
 */
final readonly class AdaptiveTrial
{
    private const TOPICS = 8;

    private const QUESTIONS = 280;

    private const CUT = 0.65;

    private const MOST = 60;

    /** At this length both kinds are compared, and at these the one drawn at random is looked at. */
    public const LENGTH = 30;

    public const LENGTHS = [30, 36, 43, 50, 60, self::LONGEST];

    public const LONGEST = 75;

    private const BANDS = 5;

    /**
     * @param  list<Band>  $bands
     *   by true share, those with people: mean and root mean square of estimate − truth, mean length, and of whom a
     *   decision was made, how many of these rightly; shares
     * @param  float  $error  root mean square, over all people, of the adaptive test of LENGTH questions
     * @param  array<int, float>  $drawn  length => root mean square error of a test drawn at random, read by its share
     * @param  array<int, float>  $modelled  the same tests, read by the model that reads the adaptive one
     * @param  array{adaptive: float, drawn: float}  $rightly  people put on the right side of the cut by LENGTH
     *   questions, as a share
     * @param  float  $exposed  share of the tests that the question was in that was in most
     */
    private function __construct(
        public array $bands,
        public float $error,
        public array $drawn,
        public array $modelled,
        public array $rightly,
        public float $meanLength,
        public float $exposed,
    ) {
    }

    /**
     * Length that a test drawn at random needs for the same error, between those looked at.
     *
     * @param  array<int, float>  $errors  `drawn` or `modelled`
     * @return float|null null: more than all
     */
    public function lengthForTheSame(array $errors): ?float
    {
        $before = null;
        foreach ($errors as $length => $error) {
            if ($error <= $this->error) {
                [$shorter, $larger] = $before ?? [$length, $error];

                return $larger === $error
                    ? (float) $length
                    : $shorter + (($larger - $this->error) / ($larger - $error)) * ($length - $shorter);
            }
            $before = [$length, $error];
        }

        return null;
    }

    public static function run(int $people, string $seed = 'adaptive trial'): self
    {
        $simulator = new Simulator($seed);
        $questions = [];
        for ($i = 0; $i < self::QUESTIONS; $i++) {
            $questions[] = $simulator->item(
                $i,
                $i % self::TOPICS,
                [-1.0, 0.0, 0.0, 1.0][intdiv($i, self::TOPICS) % 4],
                $i % 4 === 3 ? 0.0 : 0.25,
            );
        }
        $chance = new Randomizer(new Xoshiro256StarStar(hash('sha256', $seed, true)));
        $shown = array_fill(0, self::QUESTIONS, 0);
        $bands = $errors = $modelled = $byShare = [];
        $length = 0;
        $rightly = ['adaptive' => 0, 'drawn' => 0];
        for ($n = 1; $n <= $people; $n++) {
            $person = $simulator->person(self::TOPICS);
            $truth = self::truth($simulator, $person, $questions);
            $items = self::items($questions, array_map(fn (int $times): float => $times / $n, array_values($shown)));
            $test = self::test($questions);
            $answers = array_map(
                fn (AdaptiveItem $item, float $outcome): AdaptiveAnswer => new AdaptiveAnswer($item, $outcome),
                $items,
                $outcomes = self::outcomes($simulator, $person, $questions),
            );
            [$answered, $ending, $atLength] = self::sit($test, $answers, $chance);
            foreach ($answered as $answer) {
                $shown[$answer->item->id]++;
            }
            $length += count($answered);
            $off = $test->standing($answered)->share - $truth;
            $passes = $truth >= self::CUT;
            $decided = $ending === AdaptiveEnding::Above || $ending === AdaptiveEnding::Below;
            $bands[min(self::BANDS - 1, (int) floor($truth * self::BANDS))][] = [
                $off, count($answered), $decided, $decided && ($ending === AdaptiveEnding::Above) === $passes,
            ];
            $share = $test->standing($atLength)->share;
            $errors[] = ($share - $truth) ** 2;
            $rightly['adaptive'] += ($share >= self::CUT) === $passes ? 1 : 0;
            $drawn = array_slice($chance->shuffleArray(array_keys($questions)), 0, self::LONGEST);
            foreach (self::LENGTHS as $some) {
                $asked = array_map(fn (int $i): AdaptiveAnswer => $answers[$i], array_slice($drawn, 0, $some));
                $modelled[$some][] = ($test->standing($asked)->share - $truth) ** 2;
                $share = array_sum(array_column($asked, 'outcome')) / $some;
                $byShare[$some][] = ($share - $truth) ** 2;
                $rightly['drawn'] += $some === self::LENGTH && ($share >= self::CUT) === $passes ? 1 : 0;
            }
        }
        ksort($bands);

        return new self(
            bands: array_map(self::band(...), array_keys($bands), array_values($bands)),
            error: self::root($errors),
            drawn: array_map(self::root(...), $byShare),
            modelled: array_map(self::root(...), $modelled),
            rightly: array_map(fn (int $right): float => $right / $people, $rightly),
            meanLength: $length / $people,
            exposed: max($shown) / $people,
        );
    }

    /**
     * @param  list<SimulatedItem>  $questions
     * @param  list<float>  $exposure
     * @return list<AdaptiveItem>
     */
    private static function items(array $questions, array $exposure): array
    {
        return array_map(
            fn (int $i, SimulatedItem $item): AdaptiveItem => new AdaptiveItem(
                id: $i,
                topic: $item->topic,
                b: $item->b,
                c: $item->c,
                exposure: $exposure[$i],
            ),
            array_keys($questions),
            $questions,
        );
    }

    /** @param  list<SimulatedItem>  $questions */
    private static function test(array $questions): Adaptive
    {
        $bank = array_fill(0, self::TOPICS, []);
        foreach ($questions as $question) {
            $bank[$question->topic][] = new Item($question->b, $question->c);
        }

        return new Adaptive(
            estimator: new AbilityEstimator(new Prior()),
            bank: array_values($bank),
            weights: array_fill(0, self::TOPICS, 1.0),
            cut: self::CUT,
            most: self::MOST,
        );
    }

    /**
     * Until it ends, and in any case to LENGTH questions.
     *
     * @param  list<AdaptiveAnswer>  $all  what would come of each question
     * @return array{list<AdaptiveAnswer>, AdaptiveEnding, list<AdaptiveAnswer>} what was answered by the end, how it
     *   ended, and what was answered by LENGTH
     */
    private static function sit(Adaptive $test, array $all, Randomizer $chance): array
    {
        $topics = array_fill(0, self::TOPICS, []);
        foreach ($all as $answer) {
            $topics[$answer->item->topic][] = $answer->item;
        }
        $answered = $byEnd = [];
        $ending = null;
        while ($ending === null || count($answered) < self::LENGTH) {
            $next = $test->next($answered, fn (int $topic): array => $topics[$topic], $chance);
            if ($next === null) {
                break;
            }
            $answered[] = $all[$next->id];
            if ($ending === null) {
                $byEnd = $answered;
                $ending = $test->ending($answered);
            }
        }

        return [$byEnd, $ending ?? AdaptiveEnding::Spent, array_slice($answered, 0, self::LENGTH)];
    }

    /** @param  list<SimulatedItem>  $questions */
    private static function truth(Simulator $simulator, SimulatedPerson $person, array $questions): float
    {
        $sum = 0.0;
        foreach ($questions as $question) {
            $sum += $simulator->probability($person, $question);
        }

        return $sum / count($questions);
    }

    /**
     * What the person would answer to each question: the same whichever test asks it.
     *
     * @param  list<SimulatedItem>  $questions
     * @return list<float>
     */
    private static function outcomes(Simulator $simulator, SimulatedPerson $person, array $questions): array
    {
        return array_map(
            fn (SimulatedItem $question): float => $simulator->chance->happens(
                $simulator->probability($person, $question),
            ) ? 1.0 : 0.0,
            $questions,
        );
    }

    /**
     * @param  list<array{float, int, bool, bool}>  $people
     * @return Band
     */
    private static function band(int $band, array $people): array
    {
        $n = count($people);
        $decided = count(array_filter(array_column($people, 2)));

        return [
            'from' => $band / self::BANDS,
            'n' => $n,
            'bias' => array_sum(array_column($people, 0)) / $n,
            'error' => self::root(array_map(fn (array $one): float => $one[0] ** 2, $people)),
            'length' => array_sum(array_column($people, 1)) / $n,
            'decided' => $decided / $n,
            'right' => count(array_filter(array_column($people, 3))) / max(1, $decided),
        ];
    }

    /** @param  list<float>  $squares */
    private static function root(array $squares): float
    {
        return sqrt(array_sum($squares) / max(1, count($squares)));
    }
}
