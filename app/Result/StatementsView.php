<?php

declare(strict_types=1);

namespace App\Result;

use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'Statements')]
final readonly class StatementsView
{
    /** @param  list<array<string, mixed>>  $statements */
    public function __construct(
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'object', additionalProperties: true),
                description: 'Statements of xAPI 1.0.3: one for each question that was on screen, one for the sitting.',
            ),
        ]
        public array $statements,
    ) {
    }
}
