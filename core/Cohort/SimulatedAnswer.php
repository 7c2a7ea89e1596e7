<?php

declare(strict_types=1);

namespace Uplandia\Core\Cohort;

use Uplandia\Core\Sitting\Sureness;

/** What a simulated person did with one question. */
final readonly class SimulatedAnswer
{
    /**
     * @param  string|null  $option  for single answers
     * @param  list<string>  $struck  options ruled out
     */
    public function __construct(
        public int $item,
        public bool $right,
        public ?string $option,
        public int $ms,
        public Sureness $sureness,
        public array $struck,
    ) {
    }
}
