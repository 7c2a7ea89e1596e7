<?php

declare(strict_types=1);

namespace App\Result;

use Uplandia\Core\Result\Leg;

/** How far along the test one was after a question, in its order. */
final readonly class LegView
{
    /**
     * @param  int  $spentMs  Own times up to and with it.
     * @param  int|null  $plannedMs  What the pace plan gives up to there.
     */
    public function __construct(
        public int $position,
        public int $spentMs,
        public ?int $plannedMs,
    ) {
    }

    public static function of(Leg $leg): self
    {
        return new self($leg->position, $leg->spent, $leg->planned);
    }
}
