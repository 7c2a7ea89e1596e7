<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Form;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** Which revisits to list. */
#[
    OA\Schema(
        schema: 'RevisitsWanted',
        required: ['show', 'page'],
        properties: [
            new OA\Property(property: 'show', type: 'string', enum: RevisitsShown::class),
            new OA\Property(property: 'page', type: 'integer', description: 'From 1.'),
        ],
    ),
]
final class RevisitsRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'show' => ['required', 'string', Rule::enum(RevisitsShown::class)],
            'page' => ['required', 'integer', 'min:1', 'max:10000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['show.*' => 'Revisits are due, coming or suspended.', 'page.*' => 'There is no such page.'];
    }
}
