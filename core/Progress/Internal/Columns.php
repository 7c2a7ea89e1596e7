<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress\Internal;

use Uplandia\Core\Progress\Response;

/**
 * Responses as columns: the loops over tens of thousands of them live here. Responses to equally hard questions of one
 * topic (a question answered again, most of all) enter gradient, information and likelihood only by their weight and
 * their weighted outcome, so they are one row.
 */
final readonly class Columns
{
    /**
     * @param  list<int>  $topic
     * @param  list<float>  $b
     * @param  list<float>  $c
     * @param  list<float>  $w  Σ w
     * @param  list<float>  $right  Σ w·x
     */
    private function __construct(
        private array $topic,
        private array $b,
        private array $c,
        private array $w,
        private array $right,
    ) {
    }

    /** @param  list<Response>  $responses */
    public static function of(array $responses): self
    {
        $rows = $topic = $b = $c = $w = $right = [];
        foreach ($responses as $response) {
            $alike = pack('Vdd', $response->topic, $response->b, $response->c);
            $row = $rows[$alike] ?? null;
            if ($row === null) {
                $rows[$alike] = count($topic);
                $topic[] = $response->topic;
                $b[] = $response->b;
                $c[] = $response->c;
                $w[] = $response->w;
                $right[] = $response->w * $response->x;
            } else {
                $w[$row] += $response->w;
                $right[$row] += $response->w * $response->x;
            }
        }

        return new self(topic: $topic, b: $b, c: $c, w: array_values($w), right: array_values($right));
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
        // Local variables, for this loop is the longest of all.
        [$bs, $cs, $ws, $rights] = [$this->b, $this->c, $this->w, $this->right];
        foreach ($this->topic as $i => $t) {
            $c = $cs[$i];
            $q = 1 / (1 + exp($bs[$i] - $common - $delta[$t]));
            $p = $c + (1 - $c) * $q;
            $slope = (1 - $c) * $q * (1 - $q);
            $doubt = $p * (1 - $p);
            $scale = $slope / ($doubt > 1e-12 ? $doubt : 1e-12);
            $known = $ws[$i] * $scale * $slope;
            $bent = ($ws[$i] - $rights[$i]) * $q * (1 - $q);
            $gradient[$t] += $scale * ($rights[$i] - $ws[$i] * $p);
            $information[$t] += $known;
            $curvature[$t] += $known > $bent ? $known : $bent;
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
            $sum +=
                $this->right[$i] * log(max($p, 1e-12)) +
                ($this->w[$i] - $this->right[$i]) * log(max(1 - $p, 1e-12));
        }

        return $sum;
    }
}
