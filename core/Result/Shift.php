<?php

declare(strict_types=1);

namespace Uplandia\Core\Result;

use Uplandia\Core\Statistics\Newcombe;

/** How the share of marks changed from an earlier group of questions to a later one. */
final readonly class Shift
{
    /** @param  bool  $clear  both rest on enough, and it is more than chance */
    private function __construct(public Newcombe $by, public bool $clear)
    {
    }

    /** @return self|null null: nothing of one of them is settled */
    public static function of(Group $earlier, Group $later): ?self
    {
        if ($earlier->against->share === null || $later->against->share === null) {
            return null;
        }
        $by = Newcombe::of(
            share: min(1.0, $later->against->share),
            n: $later->totals->effectiveQuestions(),
            other: min(1.0, $earlier->against->share),
            otherN: $earlier->totals->effectiveQuestions(),
        );
        $enough = ! $earlier->against->isThin($earlier->totals) && ! $later->against->isThin($later->totals);

        return new self($by, $enough && $by->isClear());
    }
}
