<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

/** One person's first look at one question. */
final readonly class FirstLook
{
    /**
     * @param  float  $credit  0 to 1
     * @param  string|null  $option  the option chosen, for single answers
     * @param  int|null  $ms  time on screen; null: not known
     */
    public function __construct(
        public int $person,
        public int $item,
        public float $credit,
        public ?string $option = null,
        public ?int $ms = null,
    ) {
    }
}
