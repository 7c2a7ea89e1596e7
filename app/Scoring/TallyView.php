<?php

declare(strict_types=1);

namespace App\Scoring;

use OpenApi\Attributes as OA;
use Uplandia\Core\Scoring\Shown;
use Uplandia\Core\Scoring\Totals;

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
        #[OA\Property] public int $pending,
        #[OA\Property] public string $marks,
        #[OA\Property] public string $possible,
        #[OA\Property(nullable: true)] public ?string $shareOfAll,
        #[OA\Property(nullable: true)] public ?string $shareOfAnswered,
        #[OA\Property(description: 'On screen, of those that were answered.', nullable: true)] public ?int $meanMs,
    ) {
    }

    public static function of(Totals $totals, ?int $meanMs): self
    {
        $all = $totals->shareOfAll();
        $answered = $totals->shareOfAnswered();

        return new self($totals->questions, $totals->answered(), $totals->right, $totals->partly, $totals->missed, $totals->leftBlank, $totals->pending, Shown::decimal($totals->marks), Shown::decimal($totals->possible), $all === null ? null : Shown::percent($all), $answered === null ? null : Shown::percent($answered), $meanMs);
    }
}
