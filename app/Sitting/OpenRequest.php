<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Form;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'OpenSitting',
        required: ['tab'],
        properties: [
            new OA\Property(property: 'tab', type: 'string'),
            new OA\Property(property: 'take', type: 'boolean', description: 'Take the pen from another tab.'),
        ],
    ),
]
final class OpenRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['tab' => ['required', 'string', 'max:64'], 'take' => ['boolean']];
    }
}
