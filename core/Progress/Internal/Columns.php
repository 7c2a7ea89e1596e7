<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress\Internal;

use Uplandia\Core\Progress\Response;

/** Responses as columns: the loops over tens of thousands of them live here. */
final readonly class Columns
{
    /**
     * @param  list<int>  $topic
     * @param  list<float>  $b
     * @param  list<float>  $c
     * @param  list<float>  $x
     * @param  list<float>  $w
     */
    private function __construct(
        private array $topic,
        private array $b,
        private array $c,
        private array $x,
        private array $w,
    ) {
    }

    /** @param  list<Response>  $responses */
    public static function of(array $responses): self
    {
        $topic = $b = $c = $x = $w = [];
        foreach ($responses as $response) {
            $topic[] = $response->topic;
            $b[] = $response->b;
            $c[] = $response->c;
            $x[] = $response->x;
            $w[] = $response->w;
        }

        return new self(topic: $topic, b: $b, c: $c, x: $x, w: $w);
    }

    /**
     * @param  list<float>  $delta
     * @return array{list<float>, list<float>, list<float>} gradient and Fisher information of θ, by topic, and the
     *   curvature by which a step is made: far below a question's difficulty, where guessing hides all information, a
     *   wrong answer bends the likelihood all the same, and a step by information alone would be of any length
     */
    public function scores(float $common, array $delta): array
    {
        $gradient = $information = $curvature = array_fill(0, count($delta), 0.0);
        foreach ($this->topic as $i => $t) {
            $c = $this->c[$i];
            $q = 1 / (1 + exp($this->b[$i] - $common - $delta[$t]));
            $p = $c + (1 - $c) * $q;
            $slope = (1 - $c) * $q * (1 - $q);
            $scale = ($this->w[$i] * $slope) / max($p * (1 - $p), 1e-12);
            $gradient[$t] += $scale * ($this->x[$i] - $p);
            $information[$t] += $scale * $slope;
            $curvature[$t] += max($scale * $slope, $this->w[$i] * (1 - $this->x[$i]) * $q * (1 - $q));
        }

        return [array_values($gradient), array_values($information), array_values($curvature)];
    }

    /** @param  list<float>  $delta */
    public function logLikelihood(float $common, array $delta): float
    {
        $sum = 0.0;
        foreach ($this->topic as $i => $t) {
            $c = $this->c[$i];
            $p = $c + (1 - $c) / (1 + exp($this->b[$i] - $common - $delta[$t]));
            $x = $this->x[$i];
            if ($x === 1.0) {
                $sum += $this->w[$i] * log(max($p, 1e-12));
            } elseif ($x === 0.0) {
                $sum += $this->w[$i] * log(max(1 - $p, 1e-12));
            } else {
                $sum += $this->w[$i] * ($x * log(max($p, 1e-12)) + (1 - $x) * log(max(1 - $p, 1e-12)));
            }
        }

        return $sum;
    }
}
