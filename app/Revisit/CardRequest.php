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
            new OA\Property(property: 'question', type: 'integer', nullable: true, description: 'It is made from.'),
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
            'question' => ['nullable', 'integer', 'min:1'],
            'section' => ['nullable', 'string', 'max:100'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'front.*' => 'The front of a card has up to 4,000 letters.',
            'back.*' => 'The back of a card has up to 4,000 letters.',
            'question.*' => 'There is no such question.',
            'section.*' => 'There is no such page of the handbook.',
        ];
    }

    public function faces(): CardFaces
    {
        return CardFaces::of($this->string('front')->value(), $this->string('back')->value());
    }
}
