<?php

declare(strict_types=1);

namespace App\Sitting;

use App\Http\Form;
use OpenApi\Attributes as OA;

/** How much a candidate means to have left at the end. */
#[
    OA\Schema(
        schema: 'Reserve',
        required: ['minutes'],
        properties: [new OA\Property(property: 'minutes', type: 'integer')],
    ),
]
final class ReserveRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['minutes' => ['required', 'integer', 'min:0', 'max:600']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['minutes.*' => 'Say it in whole minutes, from 0 on.'];
    }
}
