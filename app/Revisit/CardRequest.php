<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Contract\Says;
use App\Http\Form;
use Uplandia\Core\Revisit\CardFaces;

/** A card as it is to be. */
#[Says('front', 'Markdown, up to 4,000 letters.')]
#[Says('back', 'Markdown, up to 4,000 letters.')]
#[Says('sitting', 'It is made from a question of it.')]
#[Says('section', 'It is made from.')]
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
