<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Form;
use OpenApi\Attributes as OA;
use Uplandia\Core\Revisit\CardFaces;

/** A card as it is to be. */
#[
    OA\Schema(
        schema: 'CardToKeep',
        required: ['front', 'back'],
        properties: [
            new OA\Property(property: 'front', type: 'string', description: 'Markdown, up to 4,000 letters.'),
            new OA\Property(property: 'back', type: 'string', description: 'Markdown, up to 4,000 letters.'),
            new OA\Property(
                property: 'sitting',
                type: 'string',
                nullable: true,
                description: 'It is made from a question of it.',
            ),
            new OA\Property(property: 'position', type: 'integer', nullable: true),
            new OA\Property(property: 'section', type: 'string', nullable: true, description: 'It is made from.'),
        ],
    ),
]
final class CardRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'front' => ['present', 'nullable', 'string', 'max:20000'],
            'back' => ['present', 'nullable', 'string', 'max:20000'],
            'sitting' => ['nullable', 'required_with:position', 'string', 'max:64'],
            'position' => ['nullable', 'required_with:sitting', 'integer', 'between:0,9999'],
            'section' => ['nullable', 'string', 'max:100'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'front.*' => 'The front of a card has up to 4,000 letters.',
            'back.*' => 'The back of a card has up to 4,000 letters.',
            'sitting.*' => 'There is no such question.',
            'position.*' => 'There is no such question.',
            'section.*' => 'There is no such page of the handbook.',
        ];
    }

    public function faces(): CardFaces
    {
        return CardFaces::of($this->string('front')->value(), $this->string('back')->value());
    }
}
