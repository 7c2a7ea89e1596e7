<?php

declare(strict_types=1);

namespace Uplandia\Core\Revisit;

use Uplandia\Core\Marking\Outcome;
use Uplandia\Core\Sitting\Sureness;

/**
 * Whether a gap has closed: two right answers in a row on different days, the second not a guess. A later miss opens
 * it again. Source: computation.md, section 9.
 */
final readonly class Gap
{
    private function __construct(
        public bool $isOpen,
        /** The day it closed; null while it is open. */
        public ?int $closedOn,
    ) {
    }

    /** @param  list<Attempt>  $attempts  in order, from the miss that opened it */
    public static function after(array $attempts): self
    {
        $closedOn = null;
        $before = null;
        foreach ($attempts as $attempt) {
            if ($attempt->outcome !== Outcome::Right) {
                $closedOn = null;
            } elseif (
                $closedOn === null &&
                $before?->outcome === Outcome::Right &&
                $before->day !== $attempt->day &&
                $attempt->sureness !== Sureness::Guess
            ) {
                $closedOn = $attempt->day;
            }
            $before = $attempt;
        }

        return new self($closedOn === null, $closedOn);
    }
}
