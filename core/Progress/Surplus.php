<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

use Uplandia\Core\Statistics\Interval;
use Uplandia\Core\Statistics\Sample;
use Uplandia\Core\Statistics\Wilson;

/**
 * How much better or worse answers came out than the model of section 8 expected for those very questions, by some
 * part of the day or of the session. Source: computation.md, section 11.
 */
final readonly class Surplus
{
    /** On fewer answers nothing is said. */
    public const SHOWN_FROM = 20;

    /**
     * @param  int  $slot  which part
     * @param  int  $n  answers, at least two
     * @param  float  $mean  credit less what was expected of it, −1 to 1
     * @param  Interval  $within  95 %
     */
    private function __construct(public int $slot, public int $n, public float $mean, public Interval $within)
    {
    }

    /** Credit less what was expected of it: x − c − (1 − c)·σ(θ − b). */
    public static function one(Response $response, Ability $ability): float
    {
        return $response->x - self::expected($ability->theta[$response->topic], $response->b, $response->c);
    }

    /** c + (1 − c)·σ(θ − b). */
    public static function expected(float $theta, float $b, float $c): float
    {
        return $c + (1 - $c) / (1 + exp($b - $theta));
    }

    /**
     * @param  iterable<array{int, float}>  $answers  in which part it was given, and its surplus
     * @return list<self> in the order of the parts, those with at least two answers
     */
    public static function by(iterable $answers): array
    {
        $slots = [];
        foreach ($answers as [$slot, $surplus]) {
            $slots[$slot][] = $surplus;
        }
        ksort($slots);
        $all = [];
        foreach ($slots as $slot => $surpluses) {
            $n = count($surpluses);
            if ($n < 2) {
                continue;
            }
            $mean = (float) Sample::mean($surpluses);
            $reach = Wilson::Z95 * sqrt((float) Sample::variance($surpluses) / $n);
            $all[] = new self(slot: $slot, n: $n, mean: $mean, within: new Interval($mean - $reach, $mean + $reach));
        }

        return $all;
    }

    /** Whether it may be said: on enough answers, and by more than chance would have it. */
    public function isClear(): bool
    {
        return $this->n >= self::SHOWN_FROM && ! $this->within->holds(0.0);
    }
}
