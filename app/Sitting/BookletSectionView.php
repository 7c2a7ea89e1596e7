<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;

/** Where a section begins in a booklet. */
#[OA\Schema(schema: 'BookletSection')]
final readonly class BookletSectionView
{
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property(description: 'Position of its first question.')] public int $from,
    ) {
    }
}
