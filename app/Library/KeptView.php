<?php

declare(strict_types=1);

namespace App\Library;

use OpenApi\Attributes as OA;

/** What a candidate keeps with a question, beyond any sitting. */
#[OA\Schema(schema: 'Kept')]
final readonly class KeptView
{
    public function __construct(
        #[OA\Property] public int $position,
        #[OA\Property] public bool $starred,
        #[OA\Property(description: 'Empty: none.')] public string $note,
    ) {
    }
}
