<?php

declare(strict_types=1);

namespace App\Progress;

use OpenApi\Attributes as OA;

/** How answers came out in a part of the day or of the session, against what was expected of them. */
#[OA\Schema(schema: 'Spell')]
final readonly class SpellView
{
    public function __construct(
        #[OA\Property(description: 'The hour where the candidate lives, or the minute of the session.')] public int $from,
        #[OA\Property(description: 'Independent answers, at least two.')] public int $n,
        #[OA\Property(description: 'Mean credit less what was expected, −1 to 1.')] public float $off,
        #[OA\Property(description: 'Of it, 95 %.')] public float $low,
        #[OA\Property(description: 'Of it, 95 %.')] public float $high,
        #[OA\Property(description: 'It rests on enough, and is more than chance.')] public bool $clear,
    ) {
    }
}
