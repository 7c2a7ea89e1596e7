<?php

declare(strict_types=1);

namespace App\Library;

use OpenApi\Attributes as OA;

/** Some words of a question, marked or struck through by a candidate. */
#[OA\Schema(schema: 'Highlight')]
final readonly class HighlightView
{
    public function __construct(
        #[OA\Property(description: 'Which text of the question: "stem", "option:…", "exhibit:2" …')]
        public string $part,
        #[OA\Property(description: 'The first letter of that text as it is read, from 0.')] public int $from,
        #[OA\Property(description: 'The letter after the last.')] public int $to,
        #[OA\Property(enum: HighlightKind::class)] public HighlightKind $kind,
        #[OA\Property(description: 'The words; where they have moved, they are looked for.')] public string $quote,
    ) {
    }
}
