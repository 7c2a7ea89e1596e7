<?php

declare(strict_types=1);

namespace Uplandia\Core\Progress;

/** What came of a question that an adaptive test has asked. */
final readonly class AdaptiveAnswer
{
    /** @param  float  $outcome  share of its credit, 0 to 1; left blank: 0 */
    public function __construct(public AdaptiveItem $item, public float $outcome)
    {
    }
}
