<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;

/** What of a topic passes the choices, in whole units. */
#[OA\Schema(schema: 'Fit')]
final readonly class FitView
{
    public function __construct(
        #[OA\Property] public string $code,
        #[OA\Property(description: 'How many questions pass.')] public int $fits,
        #[
            OA\Property(
                nullable: true,
                description: 'How many of them the test will hold; null: that depends on the draw.',
            ),
        ]
        public ?int $drawn,
    ) {
    }
}
