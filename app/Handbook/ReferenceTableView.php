<?php

declare(strict_types=1);

namespace App\Handbook;

use OpenApi\Attributes as OA;

/** A sheet that lies on the desk during a sitting. */
#[OA\Schema(schema: 'ReferenceTable')]
final readonly class ReferenceTableView
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'Markdown.')] public string $body,
    ) {
    }
}
