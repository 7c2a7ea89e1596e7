<?php

declare(strict_types=1);

namespace App\Question;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Exhibit')]
final readonly class ExhibitView
{
    public function __construct(
        #[OA\Property] public string $title,
        #[OA\Property(description: 'Markdown.')] public string $body,
    ) {
    }
}
