<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

use Uplandia\Core\Statistics\Sample;

/** How well a fixed test tells people apart: Cronbach's α (Cronbach 1951; KR-20 for right/wrong) and its SEM. */
final readonly class Reliability
{
    private function __construct(
        /** At most 1; may be negative. */
        public float $alpha,
        /** Standard error of measurement, in the unit of the credits. */
        public float $sem,
        public float $standardDeviation,
    ) {
    }

    /**
     * @param  list<list<float>>  $credits  person => item => credit, complete
     * @return self|null null below two people or two items, or when all totals are the same
     *
     * @throws InvalidData when the rows differ in length
     */
    public static function of(array $credits): ?self
    {
        $items = count($credits[0] ?? []);
        foreach ($credits as $row) {
            if (count($row) !== $items) {
                throw InvalidData::because('Reliability needs every person\'s credit on every item.');
            }
        }
        $total = Sample::variance(array_map(static fn (array $row): float => array_sum($row), $credits));
        if ($items < 2 || $total === null || $total <= 1e-12) {
            return null;
        }
        $parts = 0.0;
        for ($item = 0; $item < $items; $item++) {
            $parts += (float) Sample::variance(array_column($credits, $item));
        }
        $alpha = ($items / ($items - 1)) * (1 - $parts / $total);

        return new self($alpha, sqrt($total) * sqrt(max(0.0, 1 - $alpha)), sqrt($total));
    }
}
