<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Contract\Says;
use App\Http\Form;
use Illuminate\Validation\Rule;

/** Which cards to list. */
#[Says('words', 'On either side.')]
#[Says('section', 'Made from this page.')]
#[Says('page', 'From 1.')]
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
