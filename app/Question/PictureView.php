<?php

declare(strict_types=1);

namespace App\Question;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Picture')]
final readonly class PictureView
{
    public function __construct(
        #[OA\Property] public string $file,
        #[OA\Property] public string $alt,
        #[OA\Property] public int $width,
        #[OA\Property] public int $height,
    ) {
    }
}
