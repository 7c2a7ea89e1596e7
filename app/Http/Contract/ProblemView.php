<?php

declare(strict_types=1);

namespace App\Http\Contract;

use OpenApi\Attributes as OA;

/** Why something could not be done, in words a person can act on. */
#[OA\Schema(schema: 'Problem')]
final readonly class ProblemView
{
    /** @param  array<string, list<string>>  $fields */
    public function __construct(
        #[OA\Property] public string $message,
        #[
            OA\Property(description: 'A word for programs, such as open_elsewhere.', nullable: true),
        ]
        public ?string $reason = null,
        #[
            OA\Property(
                type: 'object',
                additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'string')),
            ),
        ]
        public object|array $fields = new \stdClass(),
    ) {
    }
}
