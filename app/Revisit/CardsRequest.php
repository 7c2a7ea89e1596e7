<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Form;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** Which cards to list. */
#[
    OA\Schema(
        schema: 'CardsWanted',
        required: ['show', 'page'],
        properties: [
            new OA\Property(property: 'show', type: 'string', enum: CardsWanted::class),
            new OA\Property(property: 'words', type: 'string', nullable: true, description: 'On either side.'),
            new OA\Property(property: 'section', type: 'string', nullable: true, description: 'Made from this page.'),
            new OA\Property(property: 'page', type: 'integer', description: 'From 1.'),
        ],
    ),
]
final class CardsRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'show' => ['required', 'string', Rule::enum(CardsWanted::class)],
            'words' => ['nullable', 'string', 'max:200'],
            'section' => ['nullable', 'string', 'max:100'],
            'page' => ['required', 'integer', 'min:1', 'max:10000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'show.*' => 'There are all cards, those that are due, and those that stay away.',
            'words.max' => 'A search can have up to 200 letters.',
            'section.*' => 'There is no such page of the handbook.',
            'page.*' => 'There is no such page.',
        ];
    }
}
