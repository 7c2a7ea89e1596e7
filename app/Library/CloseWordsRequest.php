<?php

declare(strict_types=1);

namespace App\Library;

use App\Http\Contract\Says;
use App\Http\Form;
use Uplandia\Core\Assembly\Filter\WordFilter;

/** What was searched for, and not found. */
#[Says('words', 'As they were typed.')]
final class CloseWordsRequest extends Form
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['words' => ['required', 'string', 'max:'.WordFilter::LONGEST]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['words.max' => 'A search can have up to 200 letters.', 'words.*' => 'Say what to look for.'];
    }
}
