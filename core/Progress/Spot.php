<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

/**
 * A unit that could be asked: a question that stands alone, or a case, passage set or series, told by its hardest
 * part.
 */
final readonly class Spot
{
    /**
     * @param  int  $id  of the question, or minus that of the unit
     * @param  int  $size  questions of it
     * @param  int|null  $overdue  days since it was due, or since an open gap was last missed; null: neither
     * @param  int|null  $seen  Unix milliseconds of the latest time; null: new
     */
    public function __construct(
        public int $id,
        public int $size,
        public float $b,
        public float $c,
        public ?int $overdue,
        public ?int $seen,
    ) {
    }
}
