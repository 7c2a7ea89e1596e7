<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;

/** A fixed paper that can be sat. */
#[OA\Schema(schema: 'Paper')]
final readonly class PaperView
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property] public int $questions,
        #[OA\Property(description: 'Before extra time.')] public int $minutes,
        #[OA\Property(description: 'How many of its questions this candidate has met before.')] public int $met,
    ) {
    }
}
