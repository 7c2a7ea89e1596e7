<?php

declare(strict_types=1);

namespace App\Question;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Option')]
final readonly class OptionView
{
    public function __construct(
        #[OA\Property] public string $id,
        #[OA\Property(description: 'Markdown.')] public string $text,
    ) {
    }
}
