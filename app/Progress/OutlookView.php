<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

/**
 * The estimated chance of passing today. Chances are 0 to 1.
 *
 * @phpstan-import-type OutlookStands from Standing
 */
#[OA\Schema(schema: 'Outlook')]
final readonly class OutlookView
{
    public function __construct(
        #[OA\Property] public float $chance,
        #[OA\Property] public float $low,
        #[OA\Property] public float $high,
        #[OA\Property(description: 'Questions expected right.')] public float $expected,
        #[OA\Property(description: 'Of the exam.')] public int $questions,
        #[OA\Property(description: 'Right answers that pass.')] public int $needed,
    ) {
    }

    /** @param  OutlookStands|null  $kept */
    public static function of(?array $kept): ?self
    {
        return $kept === null ? null : new self(...$kept);
    }
}
