<?php

declare(strict_types=1);

namespace App\Today;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ExamLink')]
final readonly class ExamLinkView
{
    public function __construct(#[OA\Property] public string $slug, #[OA\Property] public string $name)
    {
    }
}
