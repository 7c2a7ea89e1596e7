<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;
use Uplandia\Core\Result\Totals;
use Uplandia\Core\Shown;

/** What a set of questions came to. Marks are decimals, shares percentages; both rounded half up to two places. */
#[OA\Schema(schema: 'Tally')]
final readonly class TallyView
{
    public function __construct(
        #[OA\Property] public int $questions,
        #[OA\Property] public int $answered,
        #[OA\Property] public int $right,
        #[OA\Property] public int $partly,
        #[OA\Property] public int $missed,
        #[OA\Property] public int $leftBlank,
        #[OA\Property(description: 'Never on screen; blank in the marks.')] public int $notReached,
        #[OA\Property] public int $pending,
        #[OA\Property] public string $marks,
        #[OA\Property] public string $possible,
        #[OA\Property(nullable: true)] public ?string $shareOfAll,
        #[OA\Property(nullable: true)] public ?string $shareOfAnswered,
        #[OA\Property(description: 'On screen, of those that were answered.', nullable: true)] public ?int $meanMs,
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
            possible: Shown::decimal($totals->possible),
            shareOfAll: $all === null ? null : Shown::percent($all),
            shareOfAnswered: $answered === null ? null : Shown::percent($answered),
            meanMs: $meanMs === null ? null : (int) round($meanMs),
        );
    }
}
