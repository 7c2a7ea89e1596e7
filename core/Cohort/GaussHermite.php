<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

/** Nodes and weights that integrate over a standard normal ability (Newton's method on Hermite's polynomials). */
final readonly class GaussHermite
{
    /**
     * @param  list<float>  $nodes  abilities, falling
     * @param  list<float>  $weights  adding up to 1
     */
    private function __construct(public array $nodes, public array $weights)
    {
    }

    /** @param  int  $n  how many nodes, at least 2 */
    public static function of(int $n): self
    {
        $nodes = $weights = array_fill(0, $n, 0.0);
        $z = 0.0;
        for ($i = 0; $i < intdiv($n + 1, 2); $i++) {
            // First guesses from the asymptotics, then from the roots before (Stroud & Secrest 1966).
            $z = match ($i) {
                0 => sqrt(2 * $n + 1) - 1.85575 * (2 * $n + 1) ** (-1 / 6),
                1 => $z - (1.14 * $n ** 0.426) / $z,
                2 => 1.86 * $z - 0.86 * $nodes[0],
                3 => 1.91 * $z - 0.91 * $nodes[1],
                default => 2 * $z - $nodes[$i - 2],
            };
            $slope = 1.0;
            for ($step = 0; $step < 100; $step++) {
                $value = M_PI ** -0.25;
                $before = 0.0;
                for ($j = 1; $j <= $n; $j++) {
                    [$value, $before] = [$z * sqrt(2 / $j) * $value - sqrt(($j - 1) / $j) * $before, $value];
                }
                $slope = sqrt(2 * $n) * $before;
                $change = $value / $slope;
                $z -= $change;
                if (abs($change) < 1e-14) {
                    break;
                }
            }
            $nodes[$i] = $z;
            $nodes[$n - 1 - $i] = -$z;
            $weights[$i] = $weights[$n - 1 - $i] = 2 / ($slope * $slope);
        }

        // From the weight e^−x² to the density of N(0, 1).
        return new self(
            array_values(array_map(static fn (float $x): float => $x * M_SQRT2, $nodes)),
            array_values(array_map(static fn (float $w): float => $w / sqrt(M_PI), $weights)),
        );
    }
}
