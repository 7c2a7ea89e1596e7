<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

/** What one group of questions came to. */
final readonly class Group
{
    /**
     * @param  string  $name  the value that its questions share
     * @param  float|null  $meanMs  of those that were answered; null: none was
     * @param  list<int>  $positions  of its questions, in the order of the test
     */
    public function __construct(
        public string $name,
        public Totals $totals,
        public ?float $meanMs,
        public CutBounds $against,
        public array $positions,
    ) {
    }
}
