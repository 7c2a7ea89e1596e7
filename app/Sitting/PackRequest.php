<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Form;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'PackSitting',
        required: ['tab'],
        properties: [
            new OA\Property(
                property: 'tab',
                type: 'string',
                description: 'Holds the pen. Whoever goes on from the pack writes under this name.',
            ),
        ],
    ),
]
final class PackRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['tab' => ['required', 'string', 'max:64']];
    }
}
