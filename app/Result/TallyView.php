<?php

declare(strict_types=1);

namespace App\Result;

use Uplandia\Core\Result\Totals;
use Uplandia\Core\Shown;

/** What a set of questions came to. Marks are decimals, shares percentages; both rounded half up to two places. */
final readonly class TallyView
{
    /**
     * @param  int  $notReached  Never on screen; blank in the marks.
     * @param  string  $marks  What was earned less what was taken off.
     * @param  string  $earned  Before anything was taken off.
     * @param  string  $takenOff  By wrong answers; "0": nothing.
     * @param  int|null  $meanMs  On screen, of those that were answered.
     */
    public function __construct(
        public int $questions,
        public int $answered,
        public int $right,
        public int $partly,
        public int $missed,
        public int $leftBlank,
        public int $notReached,
        public int $pending,
        public string $marks,
        public string $earned,
        public string $takenOff,
        public string $possible,
        public ?string $shareOfAll,
        public ?string $shareOfAnswered,
        public ?int $meanMs,
    ) {
    }

    /** Where shares would be taken for what they are not. */
    public function withoutShares(): self
    {
        return new self(...['shareOfAll' => null, 'shareOfAnswered' => null] + get_object_vars($this));
    }

    public static function of(Totals $totals, ?float $meanMs): self
    {
        $all = $totals->shareOfAll();
        $answered = $totals->shareOfAnswered();

        return new self(
            questions: $totals->questions,
            answered: $totals->answered(),
            right: $totals->right,
            partly: $totals->partly,
            missed: $totals->missed,
            leftBlank: $totals->leftBlank,
            notReached: $totals->notReached,
            pending: $totals->pending,
            marks: Shown::decimal($totals->marks),
            earned: Shown::decimal($totals->marks->plus($totals->penalties)),
            takenOff: Shown::decimal($totals->penalties),
            possible: Shown::decimal($totals->possible),
            shareOfAll: $all === null ? null : Shown::percent($all),
            shareOfAnswered: $answered === null ? null : Shown::percent($answered),
            meanMs: $meanMs === null ? null : (int) round($meanMs),
        );
    }
}
