<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

/**
 * Item parameters by marginal maximum likelihood: EM over Gauss–Hermite nodes, θ ~ N(0, 1), in slope–intercept form
 * (Bock & Aitkin 1981), with priors where authors' difficulties are given: b ~ N(author's difficulty, 1) on the scale
 * that is reported (b = −d under the common slope σ, else −d/a) and log a ~ N(0, .25) (Mislevy 1986), whose weight
 * fades by itself as answers come in. A partial credit x counts as x
 * successes and 1 − x failures. Standard errors by the full observed information. Source: computation.md, section 7.
 */
final readonly class Calibration
{
    /** Of log a, under the prior. */
    private const SLOPE_VARIANCE = 0.25;

    private const STEEPEST = 6.0;

    private const FLATTEST = 0.05;

    /**
     * @param  int  $nodes  at least 41 for published accuracy
     * @param  float  $tolerance  stop when no parameter moves further than this in one round
     */
    public function __construct(
        private Model $model,
        private int $nodes = 41,
        private float $tolerance = 1e-6,
        private int $mostRounds = 5000,
    ) {
    }

    /**
     * @param  list<float>  $chance  c of each item, 0 ≤ c < 1, held fixed; none: all 0
     * @param  list<float>  $author  the author's difficulty of each item, round which the prior lies; none: no priors
     *
     * @throws InvalidData
     */
    public function of(Patterns $answers, array $chance = [], array $author = []): Calibrated
    {
        $chance = $chance === [] ? array_fill(0, $answers->items, 0.0) : $chance;
        if (count($chance) !== $answers->items || ($author !== [] && count($author) !== $answers->items)) {
            throw InvalidData::because('Give a guessing chance and an author\'s difficulty for every item, or none.');
        }
        $grid = GaussHermite::of($this->nodes);
        [$a, $d] = $this->start($answers, $chance, $author);
        $round = 0;
        $moved = INF;
        while ($round < $this->mostRounds && $moved > $this->tolerance) {
            $expected = Internal\Expectation::of(answers: $answers, grid: $grid, a: $a, d: $d, c: $chance);
            [$nextA, $nextD] = $this->maximise(
                expected: $expected,
                grid: $grid,
                a: $a,
                d: $d,
                chance: $chance,
                answers: $answers,
                author: $author,
            );
            $moved = 0.0;
            for ($i = 0; $i < $answers->items; $i++) {
                $moved = max($moved, abs($nextA[$i] - $a[$i]), abs($nextD[$i] - $d[$i]));
            }
            [$a, $d] = [$nextA, $nextD];
            $round++;
        }
        $final = Internal\Expectation::of(answers: $answers, grid: $grid, a: $a, d: $d, c: $chance);

        return new Calibrated(
            items: $this->parameters(answers: $answers, grid: $grid, a: $a, d: $d, chance: $chance, author: $author),
            logLikelihood: $final->logLikelihood,
            iterations: $round,
            converged: $moved <= $this->tolerance,
        );
    }

    /**
     * Slopes of 1 and intercepts from the facilities.
     *
     * @param  list<float>  $chance
     * @param  list<float>  $author
     * @return array{list<float>, list<float>}
     */
    private function start(Patterns $answers, array $chance, array $author): array
    {
        $sum = array_fill(0, $answers->items, 0.0);
        foreach ($answers->patterns as $i => $pattern) {
            foreach ($pattern as $item => $credit) {
                $sum[$item] += $credit * $answers->counts[$i];
            }
        }
        $d = [];
        foreach ($sum as $item => $credit) {
            $n = $answers->perItem[$item];
            $facility = ($credit + 0.5) / ($n + 1);
            $known = min(0.98, max(0.02, ($facility - $chance[$item]) / (1 - $chance[$item])));
            $d[] = $n === 0 ? -($author[$item] ?? 0.0) : log($known / (1 - $known)) * 1.15;
        }

        return [array_fill(0, $answers->items, 1.0), $d];
    }

    /**
     * One M-step: a Fisher-scoring step or a few for each item; for Rasch, then one for the slope that all share.
     *
     * @param  list<float>  $a
     * @param  list<float>  $d
     * @param  list<float>  $chance
     * @param  list<float>  $author
     * @return array{list<float>, list<float>}
     */
    private function maximise(
        Internal\Expectation $expected,
        GaussHermite $grid,
        array $a,
        array $d,
        array $chance,
        Patterns $answers,
        array $author,
    ): array {
        $slopeGradient = $slopeInformation = 0.0;
        $nextA = $nextD = [];
        foreach ($a as $item => $slope) {
            $prior = $author[$item] ?? null;
            $intercept = $d[$item];
            $likelihood = static fn (float $slope, float $intercept): array => self::scores(
                n: $expected->n[$item],
                r: $expected->r[$item],
                nodes: $grid->nodes,
                a: $slope,
                d: $intercept,
                c: $chance[$item],
            );
            /** @var \Closure(float, float): array{float, float, float, float, float} $posterior */
            $posterior = $prior === null
                ? $likelihood
                : fn (float $slope, float $intercept): array => $this->shrunk(
                    scores: $likelihood($slope, $intercept),
                    a: $slope,
                    d: $intercept,
                    prior: $prior,
                );
            $steps = $answers->perItem[$item] === 0 && $prior === null ? 0 : 3;
            for ($step = 0; $step < $steps; $step++) {
                [$ga, $gd, $iaa, $iad, $idd] = $posterior($slope, $intercept);
                if ($this->model === Model::Rasch) {
                    $intercept += self::bounded($gd / max($idd, 1e-9));

                    continue;
                }
                $determinant = max($iaa * $idd - $iad * $iad, 1e-9);
                $slope = min(
                    self::STEEPEST,
                    max(self::FLATTEST, $slope + self::bounded(($idd * $ga - $iad * $gd) / $determinant)),
                );
                $intercept += self::bounded(($iaa * $gd - $iad * $ga) / $determinant);
            }
            $nextA[] = $slope;
            $nextD[] = $intercept;
            if ($this->model === Model::Rasch) {
                [$ga, , $iaa, $iad, $idd] = $posterior($slope, $intercept);
                $slopeGradient += $ga;
                $slopeInformation += $iaa - ($iad * $iad) / max($idd, 1e-9);
            }
        }
        if ($this->model === Model::Rasch && $author !== []) {
            $slopeGradient -= log($a[0]) / self::SLOPE_VARIANCE / $a[0];
            $slopeInformation += self::slopeInformation($a[0]);
        }
        if ($this->model === Model::Rasch && $slopeInformation > 0) {
            $common = min(
                self::STEEPEST,
                max(self::FLATTEST, $a[0] + self::bounded($slopeGradient / $slopeInformation)),
            );
            $nextA = array_fill(0, count($a), $common);
        }

        return [$nextA, $nextD];
    }

    /**
     * Gradient and Fisher information of one item in (a, d).
     *
     * @param  array<int, float>  $n  expected people at each node
     * @param  array<int, float>  $r  expected credit at each node
     * @param  list<float>  $nodes
     * @return array{float, float, float, float, float} ga, gd, iaa, iad, idd
     */
    private static function scores(array $n, array $r, array $nodes, float $a, float $d, float $c): array
    {
        $ga = $gd = $iaa = $iad = $idd = 0.0;
        foreach ($nodes as $k => $theta) {
            $q = 1 / (1 + exp(-($a * $theta + $d)));
            $p = $c + (1 - $c) * $q;
            $slope = (1 - $c) * $q * (1 - $q);
            $spread = max($p * (1 - $p), 1e-12);
            $score = (($r[$k] - $n[$k] * $p) * $slope) / $spread;
            $weight = ($n[$k] * $slope * $slope) / $spread;
            $gd += $score;
            $ga += $score * $theta;
            $idd += $weight;
            $iad += $weight * $theta;
            $iaa += $weight * $theta * $theta;
        }

        return [$ga, $gd, $iaa, $iad, $idd];
    }

    /**
     * Adds the priors, with Gauss–Newton curvature.
     *
     * @param  array{float, float, float, float, float}  $scores
     * @return array{float, float, float, float, float}
     */
    private function shrunk(array $scores, float $a, float $d, float $prior): array
    {
        [$ga, $gd, $iaa, $iad, $idd] = $scores;
        [$b, $byA, $byD] = $this->reported($a, $d);
        $off = $b - $prior;
        [$aa, $ad, $dd] = $this->priorInformation($a, $d);

        return [
            $ga - $off * $byA - ($this->model === Model::TwoParameter ? log($a) / self::SLOPE_VARIANCE / $a : 0),
            $gd - $off * $byD,
            $iaa + $aa,
            $iad + $ad,
            $idd + $dd,
        ];
    }

    private static function slopeInformation(float $a): float
    {
        return 1 / self::SLOPE_VARIANCE / ($a * $a);
    }

    /**
     * Difficulty on the scale that is reported, on which the author's lies too, and how it moves with a and d: b = −d
     * where the common slope is the spread of ability, else b = −d/a.
     *
     * @return array{float, float, float}
     */
    private function reported(float $a, float $d): array
    {
        return $this->model === Model::Rasch ? [-$d, 0.0, -1.0] : [-$d / $a, $d / ($a * $a), -1 / $a];
    }

    /** @return array{float, float, float} what the priors know of one item: aa, ad, dd */
    private function priorInformation(float $a, float $d): array
    {
        [, $byA, $byD] = $this->reported($a, $d);
        $slope = $this->model === Model::TwoParameter ? self::slopeInformation($a) : 0.0;

        return [$byA * $byA + $slope, $byA * $byD, $byD * $byD];
    }

    /** A step that cannot run away. */
    private static function bounded(float $step): float
    {
        return max(-1.0, min(1.0, $step));
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $d
     * @param  list<float>  $chance
     * @param  list<float>  $author
     * @return list<ItemParameters>
     */
    private function parameters(
        Patterns $answers,
        GaussHermite $grid,
        array $a,
        array $d,
        array $chance,
        array $author,
    ): array {
        $common = $this->model === Model::Rasch;
        $prior = array_map(
            fn (int $item): array => $this->priorInformation($a[$item], $d[$item]),
            array_keys($author),
        );
        if ($common && $prior !== []) {
            $prior[0][0] += self::slopeInformation($a[0]);
        }
        $covariances = Internal\Information::covariances(
            patterns: $answers,
            grid: $grid,
            a: $a,
            d: $d,
            c: $chance,
            prior: $prior,
            common: $common,
        );
        $items = [];
        foreach ($a as $i => $slope) {
            $known = $covariances[$i];
            if ($known === null) {
                $items[] = new ItemParameters(a: $slope, d: $d[$i], c: $chance[$i], seA: null, seB: null);

                continue;
            }
            [$va, $cov, $vd] = $known;
            // b = −d/a by the delta method.
            $vb = ($vd + ($d[$i] ** 2 / $slope ** 2) * $va - ((2 * $d[$i]) / $slope) * $cov) / $slope ** 2;
            $items[] = new ItemParameters(
                a: $slope,
                d: $d[$i],
                c: $chance[$i],
                seA: sqrt($va),
                seB: $vb > 0 ? sqrt($vb) : null,
            );
        }

        return $items;
    }
}
