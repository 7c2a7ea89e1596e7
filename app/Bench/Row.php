<?php

declare(strict_types=1);

namespace App\Bench;

/** One thing measured, beside something that does the same work by hand, run in turn with it. */
final readonly class Row
{
    /**
     * @param  list<float>  $took  of each run: milliseconds, unless `unit` says otherwise
     * @param  list<float>  $beside  of what it is held against, run for run; empty: it is held against `goal` itself
     * @param  float  $goal  the most that the ratio (or the figure itself) may be
     * @param  float|null  $goalMs  the most that p95 may be
     * @param  int|null  $peak  bytes
     */
    public function __construct(
        public string $what,
        private array $took,
        private string $against,
        private array $beside,
        private float $goal,
        private ?float $goalMs = null,
        private ?int $peak = null,
        private string $unit = 'ms',
    ) {
    }

    public const HEAD = ['What', 'p50 / p95', 'Against', 'Ratio', 'Goal', 'Held', 'Peak'];

    /** The median of the ratios run for run: what disturbs the machine disturbs both. */
    public function ratio(): float
    {
        return $this->beside === []
            ? self::percentile($this->took, 0.5)
            : self::percentile(
                array_map(
                    fn (float $one, float $other): float => $one / max($other, 1e-6),
                    $this->took,
                    $this->beside,
                ),
                0.5,
            );
    }

    public function held(): bool
    {
        return $this->ratio() <= $this->goal
            && ($this->goalMs === null || self::percentile($this->took, 0.95) <= $this->goalMs);
    }

    /** @return list<string> */
    public function cells(): array
    {
        $goal = $this->goalMs === null ? '' : sprintf(' (≤ %.0f)', $this->goalMs);
        $figures = sprintf(
            '%s / %s %s',
            self::short(self::percentile($this->took, 0.5)),
            self::short(self::percentile($this->took, 0.95)),
            $this->unit,
        );
        $alone = $this->beside === [];

        return [
            $this->what,
            $figures.$goal,
            $alone ? $this->against : sprintf(
                '%s: %s ms',
                $this->against,
                self::short(self::percentile($this->beside, 0.5)),
            ),
            $alone ? '' : sprintf('%.2f', $this->ratio()),
            $alone ? sprintf('≤ %s %s', self::short($this->goal), $this->unit) : sprintf('≤ %s ×', $this->goal),
            $this->held() ? 'yes' : 'NO',
            $this->peak === null ? '' : sprintf('%.0f MB', $this->peak / 1048576),
        ];
    }

    /** @param  list<float>  $values */
    private static function percentile(array $values, float $share): float
    {
        sort($values);

        return $values === [] ? 0.0 : $values[(int) floor($share * (count($values) - 1))];
    }

    private static function short(float $figure): string
    {
        return $figure >= 100 ? number_format($figure, 0, '.', '') : sprintf('%.1f', $figure);
    }
}
