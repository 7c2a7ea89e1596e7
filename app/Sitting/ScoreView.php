<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;

/** The score so far, in tutor mode, of what has been checked. Exact, as decimals. */
#[OA\Schema(schema: 'Score')]
final readonly class ScoreView
{
    public function __construct(
        #[OA\Property] public string $marks,
        #[OA\Property] public string $possible,
        #[OA\Property(description: 'Checked questions.')] public int $questions,
    ) {
    }
}
