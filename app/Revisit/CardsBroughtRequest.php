<?php

declare(strict_types=1);

namespace App\Revisit;

use App\Http\Contract\Says;
use App\Http\Form;
use Illuminate\Validation\Rule;
use Uplandia\Core\Revisit\CardFaces;
use Uplandia\Core\Revisit\CardText;

/** A file of cards to be taken in. */
#[Says('text', 'Up to 2 megabytes and 2,000 cards.')]
final class CardsBroughtRequest extends Form
{
    private const MOST_LETTERS = 2_000_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'form' => ['required', 'string', Rule::in(['csv', 'text'])],
            'text' => ['required', 'string', 'max:'.self::MOST_LETTERS],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'form.*' => 'Cards come as comma-separated values (CSV) or as plain text.',
            'text.required' => 'There is nothing in this file.',
            'text.*' => 'A file of cards has up to 2 megabytes of text.',
        ];
    }

    /** @return list<CardFaces> */
    public function cards(): array
    {
        $text = $this->string('text')->value();

        return $this->string('form')->value() === 'csv' ? CardCsv::read($text) : CardText::read($text);
    }
}
