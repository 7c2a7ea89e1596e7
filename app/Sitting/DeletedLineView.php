<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;

/** A sitting that is deleted and can come back. */
#[OA\Schema(schema: 'DeletedLine')]
final readonly class DeletedLineView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $name,
        #[OA\Property] public int $until,
    ) {
    }
}
