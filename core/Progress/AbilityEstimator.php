<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

/**
 * Maximum a posteriori ability by Fisher scoring: p = c + (1 − c)·σ(θ_t − b), θ_t = θ_0 + δ_t. The information matrix
 * of
 * (θ_0, δ) is an arrowhead, so one step costs O(responses + topics); its inverse is the covariance (Laplace).
 * Source: computation.md, section 8.
 */
final readonly class AbilityEstimator
{
    private const MOST_STEPS = 60;

    /** No parameter moves further than this: it has arrived. */
    private const STILL = 1e-8;

    /** A longer step is tried before it is taken, for with guessing the likelihood is not concave everywhere. */
    private const LONG = 0.5;

    /** Steps by information alone come nearer fastest; where so many have not arrived, guessing makes them swing. */
    private const SWIFT_STEPS = 10;

    public function __construct(private Prior $prior = new Prior())
    {
    }

    /**
     * @param  list<Response>  $responses
     * @param  int  $topics  topics are numbered from 0; one without responses is drawn to the others
     */
    public function estimate(array $responses, int $topics): Ability
    {
        $data = Internal\Columns::of($responses);
        $common = $this->prior->mean;
        $delta = array_fill(0, $topics, 0.0);
        for ($step = 0; $step < self::MOST_STEPS; $step++) {
            [$toCommon, $toDelta, $longest] = $this->step($data, $common, $delta, careful: $step >= self::SWIFT_STEPS);
            if ($longest > self::LONG && $step < self::SWIFT_STEPS) {
                [$toCommon, $toDelta, $longest] = $this->step($data, $common, $delta, careful: true);
            }
            $share =
                $longest > self::LONG
                    ? $this->uphill(
                        data: $data,
                        common: $common,
                        delta: $delta,
                        toCommon: $toCommon,
                        toDelta: $toDelta,
                    )
                    : 1.0;
            $common += $share * $toCommon;
            $delta = array_map(static fn (float $value, float $to): float => $value + $share * $to, $delta, $toDelta);
            if ($longest < self::STILL) {
                break;
            }
        }

        return $this->ability($data, $common, $delta);
    }

    /**
     * The largest half, quarter, … of a long step that does not lead downhill.
     *
     * @param  list<float>  $delta
     * @param  list<float>  $toDelta
     */
    private function uphill(
        Internal\Columns $data,
        float $common,
        array $delta,
        float $toCommon,
        array $toDelta,
    ): float {
        $here = $this->height($data, $common, $delta);
        for ($share = 1.0; $share > 1e-3; $share /= 2) {
            $there = [];
            foreach ($delta as $t => $value) {
                $there[] = $value + $share * $toDelta[$t];
            }
            if ($this->height($data, $common + $share * $toCommon, $there) >= $here) {
                return $share;
            }
        }

        return $share;
    }

    /**
     * @param  list<float>  $delta
     * @param  bool  $careful  by the curvature, which makes shorter steps than the information does
     * @return array{float, list<float>, float} how far θ_0 and each δ go, and the longest of these ways
     */
    private function step(Internal\Columns $data, float $common, array $delta, bool $careful): array
    {
        [$gradient, $information, $curvature] = $data->scores($common, $delta);
        $information = $careful ? $curvature : $information;
        $own = 1 / $this->prior->topicDeviation ** 2;
        $corner = 1 / $this->prior->deviation ** 2;
        $right = -($common - $this->prior->mean) * $corner;
        foreach ($delta as $t => $value) {
            $wanted = $gradient[$t] - $value * $own;
            $arm = $information[$t] / ($information[$t] + $own);
            $right += $gradient[$t] - $arm * $wanted;
            $corner += $information[$t] * (1 - $arm);
        }
        $toCommon = $right / $corner;
        $toDelta = [];
        foreach ($delta as $t => $value) {
            $toDelta[] = ($gradient[$t] - $value * $own - $information[$t] * $toCommon) / ($information[$t] + $own);
        }

        return [$toCommon, $toDelta, max([abs($toCommon), ...array_map(abs(...), $toDelta)])];
    }

    /** @param  list<float>  $delta */
    private function height(Internal\Columns $data, float $common, array $delta): float
    {
        $height =
            $data->logLikelihood($common, $delta) -
            ($common - $this->prior->mean) ** 2 / (2 * $this->prior->deviation ** 2);
        foreach ($delta as $value) {
            $height -= ($value * $value) / (2 * $this->prior->topicDeviation ** 2);
        }

        return $height;
    }

    /** @param  list<float>  $delta */
    private function ability(Internal\Columns $data, float $common, array $delta): Ability
    {
        [, $information] = $data->scores($common, $delta);
        $own = 1 / $this->prior->topicDeviation ** 2;
        $corner = 1 / $this->prior->deviation ** 2;
        $theta = $variance = $shared = [];
        foreach ($delta as $t => $value) {
            $arm = $information[$t] / ($information[$t] + $own);
            $corner += $information[$t] * (1 - $arm);
            $theta[] = $common + $value;
            $variance[] = 1 / ($information[$t] + $own);
            $shared[] = 1 - $arm;
        }

        return new Ability(theta: $theta, own: $variance, shared: $shared, common: 1 / $corner);
    }
}
