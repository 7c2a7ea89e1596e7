<?php

declare(strict_types=1);

namespace Uplandia\Core\Sitting;

/** A section as the rules of a sitting have it. */
final readonly class Section
{
    /**
     * @param  int|null  $limit  milliseconds of active time; null: none of its own
     * @param  string  $penalty  share of the marks that a wrong answer costs, exact; "0": none
     */
    public function __construct(
        public string $code,
        public string $name,
        public ?int $limit = null,
        public string $penalty = '0',
    ) {
    }
}
