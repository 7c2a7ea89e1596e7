<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

use Uplandia\Core\Statistics\Interval;
use Uplandia\Core\Statistics\Wilson;

/**
 * The share of a topic's questions that a candidate would get right today, with its 80 % band.
 * Source: computation.md, section 8.
 */
final readonly class Mastery
{
    /**
     * @param  float  $share  0 to 1
     * @param  Interval  $band  80 %
     * @param  float  $slope  how fast the share rises with θ, for the pass outlook
     */
    private function __construct(public float $share, public Interval $band, public float $slope)
    {
    }

    /** @param  list<Item>  $bank  the topic's questions, at least one */
    public static function of(Ability $ability, int $topic, array $bank): self
    {
        $theta = $ability->theta[$topic];
        $variance = $ability->variance($topic);
        $reach = Wilson::Z80 * sqrt($variance);
        $shrink = sqrt(1 + (M_PI * $variance) / 8);
        $share = $low = $high = $slope = 0.0;
        $n = 0;
        foreach ($bank as $item) {
            $luck = 1 - $item->c;
            $q = self::sigma($theta - $item->b);
            $share += $item->n * ($item->c + $luck * self::sigma(($theta - $item->b) / $shrink));
            $low += $item->n * ($item->c + $luck * self::sigma($theta - $reach - $item->b));
            $high += $item->n * ($item->c + $luck * self::sigma($theta + $reach - $item->b));
            $slope += $item->n * $luck * $q * (1 - $q);
            $n += $item->n;
        }
        $n = max(1, $n);

        return new self($share / $n, new Interval($low / $n, $high / $n), $slope / $n);
    }

    private static function sigma(float $x): float
    {
        return 1 / (1 + exp(-$x));
    }
}
