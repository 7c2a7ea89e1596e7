<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

use Uplandia\Core\Statistics\Sample;

/**
 * All candidates of the same exam or test, for comparison: each once with the latest sitting of which at least 80 %
 * was answered. Source: computation.md, section 10.
 */
final readonly class Cohort
{
    /** Nothing is shown below this. */
    public const SHOWN_FROM = 20;

    private const ANSWERED_FROM = 0.8;

    /** @param  list<float>  $scores  one a candidate, rising */
    private function __construct(private array $scores)
    {
    }

    /** @param  iterable<ComparedSitting>  $standings */
    public static function of(iterable $standings): self
    {
        $latest = [];
        foreach ($standings as $standing) {
            if (
                $standing->answered >= self::ANSWERED_FROM &&
                (! isset($latest[$standing->candidate]) || $standing->at >= $latest[$standing->candidate]->at)
            ) {
                $latest[$standing->candidate] = $standing;
            }
        }

        return self::ofScores(
            array_map(static fn (ComparedSitting $standing): float => $standing->score, array_values($latest)),
        );
    }

    /** @param  list<float>  $scores  one a candidate, of the latest sitting that counts, in any order */
    public static function ofScores(array $scores): self
    {
        sort($scores);

        return new self($scores);
    }

    public function size(): int
    {
        return count($this->scores);
    }

    public function mayBeShown(): bool
    {
        return $this->size() >= self::SHOWN_FROM;
    }

    /** (below + ½ equal)/n, 0 to 1; null when there is nobody to compare with. */
    public static function place(int $below, int $equal, int $n): ?float
    {
        return $n === 0 ? null : ($below + $equal / 2) / $n;
    }

    /** The share of the others below a score, as `place` has it. */
    public function percentile(float $score): ?float
    {
        $below = $equal = 0;
        foreach ($this->scores as $other) {
            $below += $other < $score ? 1 : 0;
            $equal += $other === $score ? 1 : 0;
        }

        return self::place(below: $below, equal: $equal, n: count($this->scores));
    }

    public function median(): ?float
    {
        return Sample::quantile($this->scores, 0.5);
    }

    /**
     * How many scores fall into each of some equal steps from 0 to 1; scores outside go to the first or last.
     *
     * @return list<int>
     */
    public function distribution(int $steps = 20): array
    {
        $counts = array_fill(0, max(1, $steps), 0);
        foreach ($this->scores as $score) {
            $counts[max(0, min($steps - 1, (int) floor($score * $steps)))]++;
        }

        return array_values($counts);
    }
}
