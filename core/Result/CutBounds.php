<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

use Uplandia\Core\Statistics\Interval;
use Uplandia\Core\Statistics\Wilson;

/**
 * A share of marks with where it would lie 8 times in 10, and what that says against the cut: Wilson's bounds on
 * p = max(0, marks/possible) with the effective number of questions. Source: computation.md, section 5.
 *
 * Example: 45 of 60 right with a penalty of ½ → share .625, bounds .5426–.7008, unsettled at a cut of .65.
 */
final readonly class CutBounds
{
    /** On fewer settled questions nothing is called above or below. */
    public const FEWEST = 5;

    /**
     * @param  float|null  $share  0 to 1; null: nothing is settled
     * @param  Interval  $bounds  80 %
     */
    private function __construct(public Status $status, public ?float $share, public Interval $bounds)
    {
    }

    /** @param  float  $cut  share that passes */
    public static function of(Totals $totals, float $cut): self
    {
        $share = $totals->shareOfSettled()?->toFloat();
        if ($share === null) {
            return new self(Status::Unsettled, null, new Interval(0.0, 1.0));
        }
        $share = max(0.0, $share);
        $n = $totals->effectiveQuestions();
        $bounds = Wilson::interval($share * $n, $n, Wilson::Z80);

        return new self(
            match (true) {
                $totals->settled() < self::FEWEST => Status::Unsettled,
                $bounds->low >= $cut => Status::Above,
                $bounds->high < $cut => Status::Below,
                default => Status::Unsettled,
            },
            $share,
            $bounds,
        );
    }

    /** Whether too few questions are settled to call anything above or below. */
    public function isThin(Totals $totals): bool
    {
        return $totals->settled() < self::FEWEST;
    }
}
