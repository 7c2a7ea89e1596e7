<?php

declare(strict_types=1);

namespace App\Assembly;

use OpenApi\Attributes as OA;

/** How many questions each value would leave. Only a shape of the contract. */
#[OA\Schema(schema: 'ValueCounts', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'))]
final class ValueCounts
{
}
