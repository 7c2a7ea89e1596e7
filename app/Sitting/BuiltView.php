<?php

declare(strict_types=1);

namespace App\Sitting;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Built')]
final readonly class BuiltView
{
    public function __construct(
        #[OA\Property(description: 'The sitting that is ready to begin.')] public string $sitting,
    ) {
    }
}
