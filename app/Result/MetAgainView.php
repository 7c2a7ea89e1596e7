<?php

declare(strict_types=1);

namespace App\Result;

use Uplandia\Core\Marking\Outcome;

/** A question that was in both of two sittings. */
final readonly class MetAgainView
{
    /**
     * @param  int  $earlierPosition  Its position in the earlier.
     * @param  int  $laterPosition  Its position in the later.
     * @param  float|null  $by  Later credit less earlier, −1 to 1; null: one is not marked or was not met.
     */
    public function __construct(
        public string $excerpt,
        public string $topic,
        public int $earlierPosition,
        public int $laterPosition,
        public Outcome $earlier,
        public Outcome $later,
        public ?float $by,
    ) {
    }
}
