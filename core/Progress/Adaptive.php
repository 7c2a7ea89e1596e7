<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

use Closure;
use Random\Randomizer;
use Uplandia\Core\Assembly\Recipe;
use Uplandia\Core\Statistics\Interval;
use Uplandia\Core\Statistics\Wilson;

/**
 * A test that chooses the next question by the answers so far. The topic is the one furthest behind its share of the
 * blueprint (content balancing: Kingsbury & Zara 1989); in it, one of the five that tell most at the ability estimated
 * by now. Source: computation.md, section 13.
 */
final readonly class Adaptive
{
    /** No end before so many questions. */
    public const LEAST = Recipe::FEWEST_ADAPTING;

    /** One of so many that tell most is picked, so that not everybody meets the same. */
    public const AMONG = 5;

    /** No question in more than this share of adaptive tests, where the bank allows. */
    public const MOST_EXPOSED = 0.25;

    /**
     * @param  list<list<Item>>  $bank  by topic: on all of it the share is expected
     * @param  list<float>  $weights  of the blueprint, by topic, none below 0
     * @param  float  $cut  share to be passed with, 0 to 1
     * @param  int  $most  questions
     */
    public function __construct(
        private AbilityEstimator $estimator,
        private array $bank,
        private array $weights,
        private float $cut,
        private int $most,
    ) {
    }

    /**
     * @param  list<AdaptiveAnswer>  $answers  in the order of asking
     * @param  Closure(int): list<AdaptiveItem>  $ofTopic  all that could be asked of a topic, asked already or not
     * @return AdaptiveItem|null null: there is none left that could be asked
     */
    public function next(array $answers, Closure $ofTopic, Randomizer $chance): ?AdaptiveItem
    {
        $theta = $this->standing($answers)->ability->theta;
        foreach ($this->topicsByLag($answers) as $topic) {
            $pool = self::preferred(self::left($ofTopic($topic), $answers));
            if ($pool === []) {
                continue;
            }
            // Asked of each once: a sort would ask again and again.
            $tells = array_map(fn (AdaptiveItem $item): float => $item->information($theta[$topic]), $pool);
            $ids = array_column($pool, 'id');
            array_multisort($tells, SORT_DESC, $ids, SORT_ASC, $pool);

            return $pool[$chance->getInt(0, min(self::AMONG, count($pool)) - 1)];
        }

        return null;
    }

    /** @param  list<AdaptiveAnswer>  $answers */
    public function standing(array $answers): AdaptiveStanding
    {
        $ability = $this->estimator->estimate(
            array_map(
                fn (AdaptiveAnswer $answer): Response => new Response(
                    topic: $answer->item->topic,
                    b: $answer->item->b,
                    c: $answer->item->c,
                    x: $answer->outcome,
                ),
                $answers,
            ),
            count($this->weights),
        );
        $counts = array_map(fn (array $items): int => array_sum(array_column($items, 'n')), $this->bank);
        $whole = max(1, array_sum($counts));
        $share = 0.0;
        $slopes = [];
        foreach ($this->bank as $topic => $items) {
            $mastery = Mastery::of($ability, $topic, $items);
            $share += ($counts[$topic] / $whole) * $mastery->share;
            $slopes[] = ($counts[$topic] / $whole) * $mastery->slope;
        }
        $reach = Wilson::Z95 * sqrt($ability->varianceAlong($slopes));

        return new AdaptiveStanding(
            $ability,
            $share,
            new Interval(max(0.0, $share - $reach), min(1.0, $share + $reach)),
        );
    }

    /**
     * @param  list<AdaptiveAnswer>  $answers
     * @param  bool  $more  whether any could be asked
     * @return AdaptiveEnding|null null: it goes on
     */
    public function ending(array $answers, bool $more = true): ?AdaptiveEnding
    {
        if (count($answers) >= self::LEAST) {
            $side = $this->standing($answers)->side($this->cut);
            if ($side !== null) {
                return $side;
            }
        }

        return match (true) {
            count($answers) >= $this->most => AdaptiveEnding::Most,
            ! $more => AdaptiveEnding::Spent,
            default => null,
        };
    }

    /**
     * None twice, and never two of one unit.
     *
     * @param  list<AdaptiveItem>  $items
     * @param  list<AdaptiveAnswer>  $answers
     * @return list<AdaptiveItem>
     */
    private static function left(array $items, array $answers): array
    {
        $asked = $units = [];
        foreach ($answers as $answer) {
            $asked[$answer->item->id] = true;
            $units[$answer->item->unit ?? ''] = true;
        }

        return array_values(
            array_filter(
                $items,
                fn (AdaptiveItem $item): bool => ! isset($asked[$item->id])
                    && ($item->unit === null || ! isset($units[$item->unit])),
            ),
        );
    }

    /**
     * Those that rest, and of these those that are new to the candidate, as far as there are any.
     *
     * @param  list<AdaptiveItem>  $items
     * @return list<AdaptiveItem>
     */
    private static function preferred(array $items): array
    {
        $rested = array_values(
            array_filter($items, fn (AdaptiveItem $item): bool => $item->exposure < self::MOST_EXPOSED),
        );
        $pool = $rested === [] ? $items : $rested;
        $new = array_values(array_filter($pool, fn (AdaptiveItem $item): bool => ! $item->met));

        return $new === [] ? $pool : $new;
    }

    /**
     * Topics of any weight, the one furthest behind its share first; of two alike the earlier.
     *
     * @param  list<AdaptiveAnswer>  $answers
     * @return list<int>
     */
    private function topicsByLag(array $answers): array
    {
        $asked = array_fill(0, count($this->weights), 0);
        foreach ($answers as $answer) {
            $asked[$answer->item->topic]++;
        }
        $whole = array_sum($this->weights);
        $lag = [];
        foreach ($this->weights as $topic => $weight) {
            if ($weight > 0) {
                $lag[$topic] = $weight / $whole - $asked[$topic] / max(1, count($answers));
            }
        }
        arsort($lag);

        return array_keys($lag);
    }
}
